'use client'

import { Button, Group, PasswordInput, Select, Stack, Table, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { PEOPLE_ROLES } from '@/core/access/roles'
import { AskFirst } from '@/ui/ask-first'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { endAccount, makeAccount, setRole } from '../actions'
import type { AccountLine } from '../queries'
import { ROLE_WORDS } from '../role-words'

const ROLE_CHOICES = PEOPLE_ROLES.map((value) => ({ value, label: ROLE_WORDS[value].label }))

/** Who may sign in and what they may do; the first account is the owner’s. */
export function AccountsCard({ accounts, open }: { accounts: readonly AccountLine[]; open: boolean }) {
  return (
    <section className="card" aria-label="Accounts">
      <Stack gap="md">
        <Title order={2} fz="lg">
          Accounts
        </Title>
        {open ? (
          <Text>
            Nobody has one yet: whoever sits at this machine is the owner, and nobody else comes in. With the
            first account everybody signs in, here too.
          </Text>
        ) : (
          <AccountTable accounts={accounts} />
        )}
        <NewAccount key={accounts.length} first={open} />
      </Stack>
    </section>
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
  const { busy, problemOf, send } = useSubmit(makeAccount)
  const [typed, setTyped] = useState({ name: '', login: '', password: '' })
  const [role, setRole] = useState<(typeof PEOPLE_ROLES)[number]>(first ? 'owner' : 'teacher')
  const set = (key: keyof typeof typed) => (e: { currentTarget: { value: string } }) => {
    const { value } = e.currentTarget
    setTyped((t) => ({ ...t, [key]: value }))
  }
  return (
    <form
      aria-label={first ? 'The owner’s account' : 'A new account'}
      onSubmit={(event) => {
        event.preventDefault()
        void send({ ...typed, role })
      }}
    >
      <Stack gap="sm">
        <Group align="flex-start" gap="sm">
          <TextInput label="Name" value={typed.name} error={problemOf('name')} onChange={set('name')} />
          <TextInput
            label="Sign-in name"
            autoComplete="off"
            autoCapitalize="none"
            value={typed.login}
            error={problemOf('login')}
            onChange={set('login')}
          />
          <PasswordInput
            label="Password to begin with"
            autoComplete="new-password"
            w={220}
            value={typed.password}
            error={problemOf('password')}
            onChange={set('password')}
          />
          {first ? null : (
            <Select
              label="May"
              data={ROLE_CHOICES}
              w={160}
              value={role}
              allowDeselect={false}
              error={problemOf('role')}
              onChange={(value) => setRole(PEOPLE_ROLES.find((r) => r === value) ?? 'teacher')}
            />
          )}
        </Group>
        {first ? null : <Text c="dimmed">{ROLE_WORDS[role].may}</Text>}
        <FormProblem message={problemOf('')} />
        <Group>
          <Button type="submit" loading={busy}>
            {first ? 'Make the owner’s account' : 'Add the account'}
          </Button>
        </Group>
      </Stack>
    </form>
  )
}
