'use client'

import { Button, FileButton, Tabs, Textarea, TextInput } from '@mantine/core'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { useSubmit } from '../../use-submit'
import { addOne, addPastedNames } from '../actions'

/** Ids travel with the form: the same press sent twice adds the same people once. */
function sixtyIds(): string[] {
  return Array.from({ length: 60 }, newId)
}

// The reader of lists comes when there is a list to read.
const ReadsAs = dynamic(() => import('./reads-as').then((m) => m.ReadsAs), { ssr: false })

/** Paste a list, pick a CSV of names, or add one person. */
export function AddStudents() {
  return (
    <Tabs defaultValue="paste" keepMounted={false}>
      <Tabs.List>
        <Tabs.Tab value="paste">Paste names</Tabs.Tab>
        <Tabs.Tab value="one">Add one</Tabs.Tab>
      </Tabs.List>
      <Tabs.Panel value="paste" pt="md">
        <PasteNames />
      </Tabs.Panel>
      <Tabs.Panel value="one" pt="md">
        <AddOne />
      </Tabs.Panel>
    </Tabs>
  )
}

/** Many names at once. */
export function PasteNames() {
  const [text, setText] = useState('')
  const [ids, setIds] = useState<string[]>([])
  const [said, setSaid] = useState('')
  const { busy, problemOf, send } = useSubmit(addPastedNames)

  const submit = async (): Promise<void> => {
    const stable = ids.length > 0 ? ids : sixtyIds()
    setIds(stable)
    const added = await send({ text, ids: stable })
    if (!added) return
    setSaid(
      `${added.added} added${added.known > 0 ? `, ${added.known} already here` : ''}. ${added.aside}`.trim(),
    )
    // What was pasted meanwhile is the next list.
    setText((now) => (now === text ? '' : now))
    setIds([])
  }
  return (
    <FormShell maxWidth={560} problem={problemOf('')} onSubmit={submit}>
      <Textarea
        label="Names, one on each line"
        description="A spreadsheet, a CSV or a list works. A level (new, some, practised) or a remark may stand beside a name."
        autosize
        minRows={5}
        maxRows={14}
        value={text}
        error={problemOf('text')}
        onChange={(event) => {
          setSaid('')
          setText(event.currentTarget.value)
        }}
      />
      {text.trim() === '' ? null : <ReadsAs text={text} />}
      <FormEnd label="Add these people" {...{ busy, said }}>
        <FileButton
          accept=".csv,.txt,text/csv,text/plain"
          onChange={(file) => void file?.text().then(setText)}
        >
          {(props) => <Button {...props}>Take names from a file</Button>}
        </FileButton>
      </FormEnd>
    </FormShell>
  )
}

function AddOne() {
  const [id, setId] = useState(newId)
  const [said, setSaid] = useState('')
  const { values, renew, field, busy, problemOf, send } = useForm({ name: '', stature: '' }, addOne)

  const submit = async (): Promise<void> => {
    if (!(await send({ ...values, id }))) return
    setSaid(`${values.name.trim()} added.`)
    setId(newId())
    renew(values, { name: '', stature: '' })
  }
  return (
    <FormShell maxWidth={420} problem={problemOf('')} onSubmit={submit}>
      <TextInput label="Name" {...field('name')} error={problemOf('name') ?? problemOf('id')} />
      <TextInput
        label="Height"
        description="cm, or feet and inches such as 5'6&quot;. It can wait."
        {...field('stature')}
      />
      <FormEnd label="Add" {...{ busy, said }} />
    </FormShell>
  )
}
