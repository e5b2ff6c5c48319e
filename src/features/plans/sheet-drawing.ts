import 'server-only'
import type { SheetDrawing, SheetPart } from '@/core/formats/sheet-svg'
import { SHEET_FOOT } from '@/core/words/floor-check'
import type { BlockView, PlanView } from './plan-queries'

/** The class's sheet as it is drawn into a file: what happens when, then who does what with own numbers. */
export function planSheet(plan: PlanView): SheetDrawing {
  const works = plan.blocks.filter((b) => b.doings.length > 0)
  return {
    title: plan.title,
    lead: `${plan.aim} · ${plan.dayLabel}, ${plan.startTime} · ${plan.minutes} min · fetch ${plan.pull}`,
    parts: [
      { kind: 'heading', text: 'What happens when' },
      ...plan.blocks.map(lineOf),
      ...(works[0]?.doings ?? []).flatMap(({ studentId, name }): SheetPart[] => [
        { kind: 'heading', text: name },
        ...works.flatMap((b) => rowOf(b, studentId)),
      ]),
      { kind: 'text', text: SHEET_FOOT },
    ],
  }
}

/** One block of the hour in words, line by line. */
function linesOf(block: BlockView): string[] {
  const first = block.waves > 1 ? block.turns.filter((t) => t.set === 1) : []
  return [
    ...block.items.flatMap(({ line, apart }) => [line, ...apart]),
    ...block.lanes.map(
      (lane) =>
        `${lane.label}: ${lane.people.map((d) => d.name).join(', ')}${lane.cue === '' ? '' : ` – ${lane.cue}`}`,
    ),
    ...first.map((turn) => {
      const up = turn.up.map(
        ({ place, name, helper }) =>
          `${place === '' ? '' : `${place} `}${name}${helper === '' ? '' : ` with ${helper}`}`,
      )
      return `Wave ${turn.wave}: ${up.join(' · ')}`
    }),
  ]
}

function lineOf(block: BlockView): SheetPart {
  const head = [block.minutes, block.run].filter((t) => t !== '').join(', ')
  return {
    ...{ kind: 'row', mark: block.at, name: `${block.title} ${head}` },
    lines: [...(block.say === '' ? [] : [block.say]), ...linesOf(block)],
  }
}

function rowOf(block: BlockView, studentId: string): SheetPart[] {
  const doing = block.doings.find((d) => d.studentId === studentId)
  if (!doing) return []
  const where = [block.waves > 1 ? `wave ${doing.wave}` : '', doing.place].filter((t) => t !== '').join(', ')
  const numbers = block.kind === 'train' ? '' : doing.numbers
  return [
    {
      ...{ kind: 'row', picture: doing.picture, name: `${block.word}: ${doing.what}` },
      lines: [
        [where, doing.dose, doing.props, numbers].filter((t) => t !== '').join(' · '),
        ...(doing.changed === '' ? [] : [doing.changed]),
      ],
    },
  ]
}
