import {
  Group,
  List,
  ListItem,
  Stack,
  Table,
  TableCaption,
  TableScrollContainer,
  TableTbody,
  TableTd,
  TableTh,
  TableThead,
  TableTr,
  Text,
  Title,
} from '@mantine/core'
import type { BlockView } from '../queries'
import { VersionPicker } from './version-picker'
import { Apart } from '@/ui/apart'
import { Figure } from '@/ui/figure/figure'

/** The class as a timeline of blocks, versions as lanes, waves as turns. */
export function PlanBlocks({
  classId,
  blocks,
  editable,
}: {
  classId: string
  blocks: readonly BlockView[]
  editable: boolean
}) {
  return (
    <Stack component="ol" gap="md" p={0} m={0} style={{ listStyle: 'none' }}>
      {blocks.map((block) => (
        <li key={`${block.kind} ${block.at}`}>
          <section className="card" aria-label={block.title}>
            <Group justify="space-between" align="baseline">
              <Title order={2} fz="xl">
                <span style={{ fontVariantNumeric: 'tabular-nums', marginRight: 12 }}>{block.at}</span>
                {block.title}
              </Title>
              <Text c="dimmed">
                {block.minutes}
                {block.dose === '' ? '' : ` · ${block.dose}`}
              </Text>
            </Group>
            {block.items.length > 0 ? (
              <List mt="xs" listStyleType="disc">
                {block.items.map(({ line, apart }) => (
                  <ListItem key={line}>
                    {line}
                    <Apart lines={apart} />
                  </ListItem>
                ))}
              </List>
            ) : null}
            {block.lanes.length > 0 ? <Lanes block={block} /> : null}
            {block.versions.some((v) => v.changed !== '') ? <Changed block={block} /> : null}
            {block.turns.length > 0 ? <Turns block={block} /> : null}
            {editable && block.versions.length > 0 ? (
              <VersionPicker
                classId={classId}
                part={block.kind === 'skill' ? 'skill' : 'waves'}
                versions={block.versions}
              />
            ) : null}
          </section>
        </li>
      ))}
    </Stack>
  )
}

function Lanes({ block }: { block: BlockView }) {
  return (
    <Stack gap={6} mt="sm">
      {block.lanes.map((lane) => (
        <Group key={lane.label} gap="sm" wrap="nowrap" align="center">
          <span style={{ flex: '0 0 84px' }}>
            {lane.picture ? <Figure picture={lane.picture} height={56} /> : null}
          </span>
          <Text fw={650} style={{ flex: '0 0 26%' }}>
            {lane.label} · {lane.people.length}
          </Text>
          <div>
            <Text>{lane.people.join(', ')}</Text>
            <Text size="sm" c="dimmed">
              {lane.cue}
            </Text>
            {lane.doses.map(({ dose, who }) => (
              <Text key={dose} size="sm">
                {lane.doses.length > 1 ? `${who.join(', ')}: ` : ''}
                {dose}
              </Text>
            ))}
          </div>
        </Group>
      ))}
    </Stack>
  )
}

/** How limits change what people do: said with the names, never why. */
function Changed({ block }: { block: BlockView }) {
  return (
    <List mt="xs" listStyleType="none" aria-label="Changed by limits">
      {block.versions
        .filter((v) => v.changed !== '')
        .map((v) => (
          <ListItem key={v.studentId}>
            <strong>{v.name}:</strong> {v.changed}
          </ListItem>
        ))}
    </List>
  )
}

function Turns({ block }: { block: BlockView }) {
  const bays = Math.max(...block.turns.map((turn) => turn.up.length))
  return (
    <TableScrollContainer minWidth={320}>
      <Table mt="sm" verticalSpacing={4}>
        <TableCaption>Turns at the wall</TableCaption>
        <TableThead>
          <TableTr>
            <TableTh scope="col">At</TableTh>
            <TableTh scope="col">Set</TableTh>
            {Array.from({ length: bays }, (_, i) => (
              <TableTh scope="col" key={i}>
                Bay {i + 1}
              </TableTh>
            ))}
          </TableTr>
        </TableThead>
        <TableTbody>
          {block.turns.map((turn) => (
            <TableTr key={turn.at}>
              <TableTd>{turn.at}</TableTd>
              <TableTd>{turn.set}</TableTd>
              {Array.from({ length: bays }, (_, i) => (
                <TableTd key={i}>{turn.up.find((place) => place.bay === i + 1)?.name ?? '–'}</TableTd>
              ))}
            </TableTr>
          ))}
        </TableTbody>
      </Table>
    </TableScrollContainer>
  )
}
