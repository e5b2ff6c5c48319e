'use client'

import { Text } from '@mantine/core'
import { readNames } from '@/core/formats/names'
import { describeRead } from '@/core/words/entry'

/** How a pasted list is read, before anybody is added. */
export function ReadsAs({ text }: { text: string }) {
  const read = describeRead(readNames(text))
  return (
    <div>
      {read.map((line) => (
        <Text key={line} size="sm">
          {line}
        </Text>
      ))}
    </div>
  )
}
