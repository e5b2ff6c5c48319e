import type { SetupSolution } from '../setups/setup'
import { describeProp, describeStep, placementLabel, placementValue } from '../words/setup'
import type { SheetDrawing, SheetPart } from './sheet-svg'
import type { Wording } from '../words/number'

type Facts = { readonly id: string; readonly label: string; readonly lookFor: string; readonly exit: string }

/** A setup's card as it is drawn into a file: the drawing, distances, what to fetch, steps, the way out. */
export function setupSheet(
  { label, lookFor, exit }: Facts,
  name: string,
  { placements, props, steps }: SetupSolution,
  drawing: { readonly text: string; readonly width: number; readonly height: number },
  wording: Wording,
): SheetDrawing {
  const fetch = props.map((prop) => describeProp(prop, wording)).join(' · ') || 'nothing'
  return {
    ...{ title: label, lead: name },
    parts: [
      { kind: 'drawing', svg: drawing.text, wide: drawing.width, high: drawing.height },
      ...placements.map((p): SheetPart => ({
        kind: 'text',
        text: `${placementLabel(p.key)}: ${placementValue(p, wording)}`,
        strong: true,
      })),
      { kind: 'text', text: `Fetch: ${fetch}` },
      ...steps.map((step, i): SheetPart => ({
        kind: 'text',
        text: `${i + 1}. ${describeStep(step, wording)}`,
      })),
      ...(lookFor === '' ? [] : [{ kind: 'text' as const, text: `Look for: ${lookFor}` }]),
      ...(exit === '' ? [] : [{ kind: 'text' as const, text: `Out: ${exit}` }]),
    ],
  }
}

/**
 * A setup placed for a body as data (`levitar-setup`, docs/formats.md): every distance in centimetres to a millimetre
 * with the span to stay in, what to fetch, and the steps in order.
 */
export function writeSetupFile(
  { id, label, lookFor, exit }: Facts,
  { placements, props, steps, options }: SetupSolution,
  wording: Wording,
): string {
  const mm = (cm: number): number => Math.round(cm * 10) / 10
  return `${JSON.stringify(
    {
      ...{ format: 'levitar-setup', version: 1, setup: id, name: label, options },
      places: placements.map((p) => ({
        ...{ key: p.key, what: placementLabel(p.key), line: p.line },
        ...{ cm: mm(p.valueCm), fromCm: mm(p.fromCm), toCm: mm(p.toCm), withinCm: mm(p.withinCm) },
      })),
      fetch: props.map((prop) => describeProp(prop, wording)),
      steps: steps.map((step) => describeStep(step, wording)),
      ...{ lookFor, out: exit },
    },
    null,
    2,
  )}\n`
}
