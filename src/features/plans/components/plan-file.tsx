'use client'

import { Button, FileButton, Group } from '@mantine/core'
import { newId } from '@/device/facts'
import { saveFile } from '@/ui/save-file'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { bringPlanIn, classAsCalendar, planAsFile } from '../file-actions'

/** The plan out as a file, and a file in as the plan. */
export function PlanFile({ classId, editable }: { classId: string; editable: boolean }) {
  const out = useSubmit(planAsFile)
  const into = useSubmit(bringPlanIn)
  const calendar = useSubmit(classAsCalendar)
  const keep = async (from: typeof out, type: string): Promise<void> => {
    const file = await from.send({ id: classId })
    if (file) saveFile(file.name, type, file.text)
  }
  return (
    <Group gap="sm" className="no-print">
      <Button loading={out.busy} onClick={() => void keep(out, 'application/json')}>
        Plan as a file
      </Button>
      <Button loading={calendar.busy} onClick={() => void keep(calendar, 'text/calendar')}>
        Into a calendar
      </Button>
      {editable ? (
        <FileButton
          accept="application/json"
          onChange={(file) =>
            void file?.text().then((text) => into.send({ id: classId, planId: newId(), text }))
          }
        >
          {(props) => (
            <Button {...props} loading={into.busy}>
              Bring a plan in
            </Button>
          )}
        </FileButton>
      ) : null}
      <FormProblem
        message={out.problemOf('') ?? calendar.problemOf('') ?? into.problemOf('') ?? into.problemOf('text')}
      />
    </Group>
  )
}
