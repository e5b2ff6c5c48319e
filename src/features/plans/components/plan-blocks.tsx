import { Group, List, ListItem, Stack, Text, Title } from '@mantine/core'
import { Apart } from '@/ui/apart'
import { Figure } from '@/ui/figure/figure'
import type { DoingView } from '../doing-view'
import type { BlockView, Lane, PlanView } from '../plan-queries'
import { waveWord } from '../sheet-lines'
import { BlockTools } from './block-tools'
import { SwapItem } from './swap-item'
import { VersionPicker } from './version-picker'
import classes from './plan.module.css'

/** The class as a timeline: what all do together, versions as lanes with their people, waves as rows. */
export function PlanBlocks({ plan, editable }: { plan: PlanView; editable: boolean }) {
  return (
    <Stack component="ol" gap="md" p={0} m={0} style={{ listStyle: 'none' }}>
      {plan.blocks.map((block, i) => (
        <li key={`${block.kind} ${block.at}`} id={`block-${i + 1}`}>
          <section
            className={block.items.length + block.lanes.length > 0 ? 'card' : classes.slim}
            aria-label={block.title}
          >
            <Group justify="space-between" align="baseline">
              <Title order={2} fz="xl">
                <span style={{ fontVariantNumeric: 'tabular-nums', marginRight: 12 }}>{block.at}</span>
                {block.title}
              </Title>
              <Text c="dimmed">
                {block.minutes}
                {block.run === '' ? '' : ` · ${block.run}`}
              </Text>
            </Group>
            {block.say === '' ? null : <Text>{block.say}</Text>}
            <Broken lines={block.broken} />
            {block.items.length > 0 ? <Items block={block} classId={plan.id} editable={editable} /> : null}
            {block.lanes.length > 0 ? <Lanes lanes={block.lanes} waves={block.waves} /> : null}
            {block.waves > 1 ? <Waves block={block} /> : null}
            {editable && block.doings.length > 0 ? <Tools block={block} plan={plan} /> : null}
          </section>
        </li>
      ))}
    </Stack>
  )
}

function Broken({ lines }: { lines: readonly string[] }) {
  if (lines.length === 0) return null
  return (
    <List role="alert" mt={4} styles={{ item: { color: 'var(--warn-ink)', fontWeight: 600 } }}>
      {[...new Set(lines)].map((line) => (
        <ListItem key={line}>{line}</ListItem>
      ))}
    </List>
  )
}

function Items({ block, classId, editable }: { block: BlockView; classId: string; editable: boolean }) {
  return (
    <ul className={classes.items}>
      {block.items.map(({ id, line, picture, apart, swaps }) => (
        <li key={id}>
          <span>{picture ? <Figure picture={picture} height={44} /> : null}</span>
          <div>
            <Text size="sm">{line}</Text>
            <Text size="sm" component="div">
              <Apart lines={apart} />
            </Text>
            {editable && swaps.length > 0 ? (
              <SwapItem classId={classId} id={id} name={line} swaps={swaps} />
            ) : null}
          </div>
        </li>
      ))}
    </ul>
  )
}

function Lanes({ lanes, waves }: { lanes: readonly Lane[]; waves: number }) {
  return (
    <ul className={classes.lanes}>
      {lanes.map((lane) => (
        <li key={lane.id ?? 'rest'} className={classes.lane}>
          <span>{lane.picture ? <Figure picture={lane.picture} height={84} /> : null}</span>
          <div>
            <h3>{lane.label}</h3>
            {lane.cue === '' ? null : <p>{lane.cue}</p>}
            <Who people={lane.people} waves={waves} />
          </div>
        </li>
      ))}
    </ul>
  )
}

/** Who does a version: those who do the same of it in the same words stand together. */
function Who({ people, waves }: { people: readonly DoingView[]; waves: number }) {
  const said = (d: DoingView): string =>
    [d.climb, d.dose, d.props, d.helper === '' ? '' : `With ${d.helper} beside.`, d.changed, d.then, d.hope]
      .filter((t) => t !== '')
      .join(' ')
  const groups = new Map<string, DoingView[]>()
  for (const d of people) groups.set(said(d), [...(groups.get(said(d)) ?? []), d])
  return (
    <ul className={classes.who}>
      {[...groups].map(([words, who]) => (
        <li key={words + (who[0]?.studentId ?? '')}>
          <strong>
            {who
              .map((d) => {
                const where = [waves > 1 ? waveWord(d) : '', d.shared ? d.place : ''].filter((t) => t !== '')
                return where.length === 0 ? d.name : `${d.name} (${where.join(', ')})`
              })
              .join(', ')}
          </strong>
          <small>{words}</small>
        </li>
      ))}
    </ul>
  )
}

/** Waves once, since every set goes through them in the same order. */
function Waves({ block }: { block: BlockView }) {
  const first = block.turns.filter((turn) => turn.set === 1)
  // A task stands with the names it is open to: it may be closed to a neighbour.
  const waiting = (wave: number): string => {
    const tasks = new Map<string, string[]>()
    for (const d of block.doings.filter((x) => (x.wave !== wave && !x.every) || x.variantId === null))
      tasks.set(d.waiting, [...(tasks.get(d.waiting) ?? []), d.name])
    return [...tasks]
      .map(([task, who]) => `${task === '' ? 'rest' : task.toLowerCase()}: ${who.join(', ')}`)
      .join('; ')
  }
  return (
    <table className={classes.waves}>
      <caption style={{ textAlign: 'left' }}>Who is up when; the same order in every set</caption>
      <tbody>
        {first.map((turn) => (
          <tr key={turn.wave}>
            <th scope="row">Wave {turn.wave}</th>
            <td>
              {turn.up
                .map(({ place, name, helper }) =>
                  [place === '' ? name : `${place}: ${name}`, helper === '' ? '' : `with ${helper}`]
                    .filter((t) => t !== '')
                    .join(' '),
                )
                .join(' · ')}
            </td>
            <td>Meanwhile {waiting(turn.wave)}. Tired: lie down. Afraid: watch and name the way out.</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Tools({ block, plan }: { block: BlockView; plan: PlanView }) {
  const works = plan.blocks.filter((b) => b.doings.length > 0)
  const at = works.indexOf(block)
  return (
    <div className={`${classes.tools} no-print`}>
      <BlockTools
        classId={plan.id}
        purpose={block.purpose}
        title={block.title}
        hasSets={block.kind !== 'stay' && block.kind !== 'ease'}
        canShorten={block.sets > 1}
        at={at}
        of={works.length}
      />
      {block.kind === 'skill' || block.kind === 'peak' || block.kind === 'stay' ? (
        <VersionPicker
          classId={plan.id}
          part={block.kind === 'skill' ? 'skill' : 'waves'}
          title={block.title}
          doings={block.doings}
          choices={plan.choices}
        />
      ) : null}
    </div>
  )
}
