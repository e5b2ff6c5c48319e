'use client'

import { Kbd, Modal, Table, TableTbody, TableTd, TableTh, TableThead, TableTr } from '@mantine/core'
import { TextLink } from '../text-link'
import { RAIL } from './rail'

const HERE: readonly (readonly [string, string])[] = [
  ['?', 'This sheet'],
  ['Ctrl K', 'Find a page or a person'],
  ['P', 'Private: hide health limits, or show them'],
  ['Space', 'Start and stop the stopwatch, or everybody’s hold in a check round (Readiness)'],
  ['1 to 9, 0', 'Take the time of a lane (check round)'],
  ['s', 'Swap: the watchers do (check round)'],
  ['N', 'Next block (Teach)'],
  ['1 … 9', 'Mark the person in that bay clean (Teach)'],
]

/** All single keys, in one table. */
export function ShortcutSheet({ onClose }: { onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title="Keys you can press" size="lg">
      <Table>
        <TableThead>
          <TableTr>
            <TableTh scope="col">Press</TableTh>
            <TableTh scope="col">To</TableTh>
          </TableTr>
        </TableThead>
        <TableTbody>
          {HERE.map(([keys, what]) => (
            <TableTr key={keys}>
              <TableTd>
                <Kbd>{keys}</Kbd>
              </TableTd>
              <TableTd>{what}</TableTd>
            </TableTr>
          ))}
          {RAIL.map((item) => (
            <TableTr key={item.href}>
              <TableTd>
                <Kbd>g</Kbd> <Kbd>{item.key}</Kbd>
              </TableTd>
              <TableTd>Go to {item.label}</TableTd>
            </TableTr>
          ))}
        </TableTbody>
      </Table>
      <TextLink href="/help" mt="sm">
        What the words and marks mean
      </TextLink>
    </Modal>
  )
}
