import { Text } from '@mantine/core'
import type { BlockView, PlanView } from '../plan-queries'
import { ByBlock } from './by-block'

type Row = { name: string; of: (up: BlockView['turns'][number]['up'][number]) => boolean; isHelper: boolean }

/** The same hour place by place: who is at each bay and on the open floor wave by wave, and beside whom each helper stands. */
export function PlanPlaces({ plan }: { plan: PlanView }) {
  const works = plan.blocks.filter((b) => b.turns.length > 0)
  const ups = works.flatMap((b) => b.turns.flatMap((t) => t.up))
  const places = [...new Set(ups.filter((u) => u.shared).map((u) => u.place))].sort(byNumber)
  const helpers = [...new Set(ups.map((u) => u.helper))].filter((h) => h !== '')
  const rows: Row[] = [
    ...places.map((place): Row => ({ name: place, of: (u) => u.place === place, isHelper: false })),
    ...helpers.map((helper): Row => ({ name: helper, of: (u) => u.helper === helper, isHelper: true })),
  ]
  if (rows.length === 0)
    return <Text>Everybody works on their mat in this class: no wall, no open floor, no helper.</Text>
  return (
    <ByBlock
      label="Place by place"
      minWidth={620}
      of="Where"
      works={works}
      rows={rows.map((row) => ({
        key: row.name,
        name: row.name === 'you' ? 'You, beside' : capital(row.name),
        cell: (b) => <Waves block={b} row={row} />,
      }))}
    />
  )
}

function Waves({ block, row }: { block: BlockView; row: Row }) {
  const lines = block.turns
    .filter((t) => t.set === 1)
    .flatMap((t) => {
      const here = t.up.filter(row.of)
      const who = here
        .map((u) => (row.isHelper && u.place !== '' ? `${u.name} (${u.place})` : u.name))
        .join(', ')
      return here.length === 0 ? [] : [block.waves > 1 ? `Wave ${t.wave}: ${who}` : who]
    })
  if (lines.length === 0) return <Text c="dimmed">{row.isHelper ? 'free' : 'empty'}</Text>
  return lines.map((line) => <Text key={line}>{line}</Text>)
}

function byNumber(a: string, b: string): number {
  return a.localeCompare(b, 'en', { numeric: true })
}

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1)
}
