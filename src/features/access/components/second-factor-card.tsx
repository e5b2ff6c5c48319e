'use client'

import { Button, Group, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { PrintButton } from '@/ui/print-button'
import { Section } from '@/ui/section'
import { useForm } from '../../use-form'
import { useSubmit } from '../../use-submit'
import { dropSecondFactor, offerSecondFactor, setSecondFactor } from '../actions'

const SIX_DIGITS = { label: 'Six digits', inputMode: 'numeric', autoComplete: 'one-time-code' } as const

type Offer = { readonly seed: string; readonly svg: string }

/** A second factor for one’s own account: a code that changes every thirty seconds. */
export function SecondFactorCard({ isSet }: { isSet: boolean }) {
  const [codes, setCodes] = useState<readonly string[] | null>(null)
  return (
    <Section title="Second factor" className="card" gap="sm">
      {codes ? <RecoveryCodes codes={codes} /> : isSet ? <Drop /> : <Offered onSet={setCodes} />}
    </Section>
  )
}

function Offered({ onSet }: { onSet: (codes: readonly string[]) => void }) {
  const asked = useSubmit(offerSecondFactor)
  const set = useForm({ code: '' }, setSecondFactor)
  const [offer, setOffer] = useState<Offer | null>(null)
  if (!offer)
    return (
      <>
        <Text>
          A password alone can be seen over a shoulder. A code from your telephone cannot be used twice.
        </Text>
        <FormProblem message={asked.problemOf('')} />
        <Group>
          <Button
            loading={asked.busy}
            onClick={() => void asked.send(null).then((made) => made && setOffer(made))}
          >
            Set one up
          </Button>
        </Group>
      </>
    )
  return (
    <>
      <Text>
        Read this with any authenticator, or type the letters below it. Then type the six digits it shows.
      </Text>
      <div
        role="img"
        aria-label="The seed as a square to be read by a telephone"
        style={{ width: 180, background: '#fff' }}
        dangerouslySetInnerHTML={{ __html: offer.svg }}
      />
      <Text ff="monospace">{offer.seed.replaceAll(/(.{4})/g, '$1 ')}</Text>
      <Group align="flex-end">
        <TextInput {...SIX_DIGITS} {...set.field('code')} />
        <Button
          variant="filled"
          loading={set.busy}
          onClick={() =>
            void set.send({ seed: offer.seed, ...set.values }).then((made) => made && onSet(made.codes))
          }
        >
          It shows these
        </Button>
      </Group>
      <FormProblem message={set.problemOf('')} />
    </>
  )
}

function RecoveryCodes({ codes }: { codes: readonly string[] }) {
  return (
    <>
      <Text role="status" fw={600}>
        Set. For the day on which the telephone is lost: each of these opens once. They are shown this once.
      </Text>
      <ul aria-label="Codes to print" style={{ columns: 2, fontFamily: 'monospace', fontSize: 18 }}>
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Group>
        <PrintButton />
      </Group>
    </>
  )
}

function Drop() {
  const { values, field, busy, problemOf, send } = useForm({ code: '' }, dropSecondFactor)
  return (
    <>
      <Text>It is set. To take it away, type the digits it shows now.</Text>
      <Group align="flex-end">
        <TextInput {...SIX_DIGITS} {...field('code')} />
        <Button loading={busy} onClick={() => void send(values)}>
          Take it away
        </Button>
      </Group>
      <FormProblem message={problemOf('')} />
    </>
  )
}
