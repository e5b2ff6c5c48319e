'use client'

import { Modal } from '@mantine/core'
import { UnlockForm } from './unlock-form'

/** Over everything, until the password comes. What is under it stays as it is. */
export function LockCover({ name, onOpen }: { name: string; onOpen: () => void }) {
  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      closeOnEscape={false}
      closeOnClickOutside={false}
      fullScreen
      aria-label="This screen is locked"
      transitionProps={{ duration: 0 }}
    >
      <div className="alone">
        <UnlockForm name={name} onOpen={onOpen} />
      </div>
    </Modal>
  )
}
