'use client'

import { Button, CopyButton, TextInput } from '@mantine/core'

/** A private address to hand over: it is told this once, to be selected or copied. */
export function ShownOnce({ label, address }: { label: string; address: string }) {
  return (
    <>
      <TextInput
        label={label}
        flex="1 1 280px"
        value={address}
        readOnly
        onFocus={(event) => event.currentTarget.select()}
      />
      <CopyButton value={address}>
        {({ copied, copy }) => <Button onClick={copy}>{copied ? 'Copied' : 'Copy'}</Button>}
      </CopyButton>
    </>
  )
}
