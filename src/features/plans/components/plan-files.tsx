'use client'

import { FormProblem } from '@/ui/form-problem'
import { SheetFiles } from '@/ui/sheet-files'
import { useSubmit } from '../../use-submit'
import { sheetAsDrawing } from '../file-actions'

/** The class's sheet as a picture or a drawing. */
export function PlanFiles({ classId, name }: { classId: string; name: string }) {
  const { problemOf, send } = useSubmit(sheetAsDrawing)
  return (
    <>
      <SheetFiles name={name} drawing={() => send({ id: classId }).then((file) => file?.text ?? null)} />
      <FormProblem message={problemOf('')} />
    </>
  )
}
