import 'server-only'
import type { SheetDrawing, SheetPart } from '@/core/formats/sheet-svg'
import { SHEET_FOOT } from '@/core/words/floor-check'
import type { BlockView, PlanView } from './plan-queries'
import { doingLine, waveLines } from './sheet-lines'

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
  return [
    ...block.items.flatMap(({ line, apart }) => [line, ...apart]),
    ...block.lanes.map(
      (lane) =>
        `${lane.label}: ${lane.people.map((d) => d.name).join(', ')}${lane.cue === '' ? '' : ` – ${lane.cue}`}`,
    ),
    ...waveLines(block).map(({ wave, text }) => `Wave ${wave}: ${text}`),
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
  return [
    {
      ...{ kind: 'row', picture: doing.picture, name: `${block.word}: ${doing.what}` },
      lines: [doingLine(block, doing), ...(doing.changed === '' ? [] : [doing.changed])],
    },
  ]
}
