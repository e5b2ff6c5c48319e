'use client'

import { Group, PasswordInput, Select, Table, Text, TextInput } from '@mantine/core'
import { PEOPLE_ROLES } from '@/core/access/roles'
import { AskFirst } from '@/ui/ask-first'
import { FormProblem } from '@/ui/form-problem'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { Section } from '@/ui/section'
import { useForm } from '../../use-form'
import { useSubmit } from '../../use-submit'
import { endAccount, makeAccount, setRole } from '../actions'
import type { AccountLine } from '../queries'
import { ROLE_WORDS } from '../role-words'

const ROLE_CHOICES = PEOPLE_ROLES.map((value) => ({ value, label: ROLE_WORDS[value].label }))

/** Who may sign in and what they may do; the first account is the owner’s. */
export function AccountsCard({ accounts, open }: { accounts: readonly AccountLine[]; open: boolean }) {
  return (
    <Section title="Accounts" className="card" gap="md">
      {open ? (
        <Text>
          Nobody has one yet: whoever sits at this machine is the owner, and nobody else comes in. With the
          first account everybody signs in, here too.
        </Text>
      ) : (
        <AccountTable accounts={accounts} />
      )}
      <NewAccount key={accounts.length} first={open} />
    </Section>
  )
}

function AccountTable({ accounts }: { accounts: readonly AccountLine[] }) {
  const role = useSubmit(setRole)
  const end = useSubmit(endAccount)
  return (
    <>
      <Table.ScrollContainer minWidth={560}>
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Name</Table.Th>
              <Table.Th>Signs in as</Table.Th>
              <Table.Th>May</Table.Th>
              <Table.Th>Second factor</Table.Th>
              <Table.Th aria-label="End it" />
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {accounts.map((a) => (
              <Table.Tr key={a.id}>
                <Table.Td>{a.name}</Table.Td>
                <Table.Td>{a.login}</Table.Td>
                <Table.Td>
                  <Select
                    aria-label={`What ${a.name} may do`}
                    data={ROLE_CHOICES}
                    value={a.role}
                    allowDeselect={false}
                    w={160}
                    onChange={(value) => {
                      const chosen = PEOPLE_ROLES.find((r) => r === value)
                      if (chosen) void role.send({ id: a.id, role: chosen })
                    }}
                  />
                </Table.Td>
                <Table.Td>{a.second ? 'set' : 'none'}</Table.Td>
                <Table.Td>
                  <AskFirst
                    label="End"
                    what={`the account of ${a.name}`}
                    onSure={() => void end.send({ id: a.id })}
                  />
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
      <FormProblem message={role.problemOf('') ?? end.problemOf('')} />
    </>
  )
}

function NewAccount({ first }: { first: boolean }) {
  const role: (typeof PEOPLE_ROLES)[number] = first ? 'owner' : 'teacher'
  const empty = { name: '', login: '', password: '', role }
  const { values, field, busy, problemOf, send } = useForm(empty, makeAccount)
  return (
    <FormShell
      label={first ? 'The owner’s account' : 'A new account'}
      gap="sm"
      problem={problemOf('')}
      onSubmit={() => send(values)}
    >
      <Group align="flex-start" gap="sm">
        <TextInput label="Name" {...field('name')} />
        <TextInput label="Sign-in name" autoComplete="off" autoCapitalize="none" {...field('login')} />
        <PasswordInput
          label="Password to begin with"
          autoComplete="new-password"
          w={220}
          {...field('password')}
        />
        {first ? null : (
          <Select label="May" data={ROLE_CHOICES} w={160} allowDeselect={false} {...field('role')} />
        )}
      </Group>
      {first ? null : <Text c="dimmed">{ROLE_WORDS[values.role].may}</Text>}
      <FormEnd label={first ? 'Make the owner’s account' : 'Add the account'} busy={busy} />
    </FormShell>
  )
}
