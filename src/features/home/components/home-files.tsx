'use client'

import { FormProblem } from '@/ui/form-problem'
import { saveFile } from '@/ui/save-file'
import { SheetFiles } from '@/ui/sheet-files'
import { useSubmit } from '../../use-submit'
import { homeAsFile } from '../actions'

/** The week at home as a picture, a drawing or data. */
export function HomeFiles({ studentId, name }: { studentId: string; name: string }) {
  const { problemOf, send } = useSubmit(homeAsFile)
  const ask = (as: 'svg' | 'json'): Promise<string | null> =>
    send({ studentId, as }).then((file) => file?.text ?? null)
  const keep = async (): Promise<void> => {
    const text = await ask('json')
    if (text !== null) saveFile(`${name}.json`, 'application/json', text)
  }
  return (
    <>
      <SheetFiles name={name} drawing={() => ask('svg')} data={() => void keep()} />
      <FormProblem message={problemOf('')} />
    </>
  )
}
