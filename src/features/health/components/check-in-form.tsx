'use client'

import { Button, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import type { Region } from '@/core/screening/regions'
import { FormProblem } from '@/ui/form-problem'
import { ScalePick, TapMany, TapPick } from '@/ui/scale-pick'
import type { FactOf } from '@/core/facts/fact'
import { recordFactQuietly } from '../../facts/actions'
import { useFact } from '../../use-fact'
import type { PassData } from '../queries'

const REGION_WORDS: readonly { value: Region; label: string }[] = [
  { value: 'neck', label: 'Neck' },
  { value: 'shoulder', label: 'Shoulder' },
  { value: 'elbow', label: 'Elbow' },
  { value: 'wrist', label: 'Wrist or hand' },
  { value: 'back', label: 'Back' },
  { value: 'hip', label: 'Hip' },
  { value: 'knee', label: 'Knee' },
  { value: 'foot', label: 'Foot' },
  { value: 'head', label: 'Head' },
  { value: 'belly', label: 'Belly' },
]
const LOOK = [
  { value: 'watch', label: 'Watch' },
  { value: 'half', label: 'Half of it' },
  { value: 'whole', label: 'All of it' },
] as const
const TOUCH = [
  { value: 'no', label: 'No' },
  { value: 'ask', label: 'Ask each time' },
  { value: 'yes', label: 'Yes' },
] as const

type Form = {
  pain: number | null
  regions: Region[]
  energy: number | null
  arms: number | null
  look: 'watch' | 'half' | 'whole' | null
  ticked: string[]
  touch: 'no' | 'ask' | 'yes' | null
}
const BLANK: Form = {
  ...{ pain: null, regions: [], energy: null, arms: null, look: null, ticked: [], touch: null },
}

/** Tonight's words: five taps and a button. What is said only ever makes tonight easier. */
export function CheckInForm({
  studentId,
  daily,
  onDone,
}: {
  studentId: string
  daily: PassData['daily']
  onDone: () => void
}) {
  const [form, setForm] = useState(BLANK)
  const { busy, problemOf, save } = useFact(recordFactQuietly)
  const change = (part: Partial<Form>): void => setForm((all) => ({ ...all, ...part }))
  // What is not tapped is sent as nothing, and the server says which tap is missing.
  const words = form as FactOf<'check-in'>['words']
  return (
    <Stack gap="lg">
      <ScalePick
        label="Does anything hurt now?"
        ends={['nothing', 'very much']}
        value={form.pain}
        problem={problemOf('words.pain')}
        onChange={(pain) => change({ pain, regions: pain === 0 ? [] : form.regions })}
      />
      {form.pain !== null && form.pain > 0 ? (
        <TapMany
          label="Where?"
          options={REGION_WORDS}
          values={form.regions}
          problem={problemOf('words.regions')}
          onChange={(regions) => change({ regions })}
        />
      ) : null}
      <ScalePick
        label="Energy"
        ends={['none', 'plenty']}
        value={form.energy}
        problem={problemOf('words.energy')}
        onChange={(energy) => change({ energy })}
      />
      <ScalePick
        label="Arms"
        ends={['fresh', 'spent']}
        value={form.arms}
        problem={problemOf('words.arms')}
        onChange={(arms) => change({ arms })}
      />
      <TapPick
        label="How much of tonight’s main shape?"
        options={LOOK}
        value={form.look}
        problem={problemOf('words.look')}
        onChange={(look) => change({ look })}
      />
      <TapMany
        label="Anything of this today? Leave it empty if not."
        options={daily.map(({ id, label }) => ({ value: id, label }))}
        values={form.ticked}
        onChange={(ticked) => change({ ticked })}
      />
      <TapPick
        label="May hands help?"
        options={TOUCH}
        value={form.touch}
        problem={problemOf('words.touch')}
        onChange={(touch) => change({ touch })}
      />
      <FormProblem message={problemOf('') ?? problemOf('studentId')} />
      <Button
        variant="filled"
        size="lg"
        loading={busy}
        onClick={() => {
          void save({ kind: 'check-in', studentId, words }).then((stored) => {
            if (stored) onDone()
          })
        }}
      >
        Done
      </Button>
      <Text c="dimmed" size="sm">
        Only your teacher reads this. It is kept for thirty days, and no answer makes tonight harder.
      </Text>
    </Stack>
  )
}
