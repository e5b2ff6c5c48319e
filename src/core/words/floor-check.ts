/** What is looked at before the first person goes up (cautions.md F3, F5 to F7, F10 to F14), as ticked on paper or screen. */
export const FLOOR_CHECK = [
  {
    id: 'wall',
    short: 'wall bare and dry',
    label: 'Wall',
    ask: 'bare, dry and sound up to 2.4 m: no socket, shelf, mirror, radiator or door swing',
  },
  {
    id: 'floor',
    short: 'mats flat',
    label: 'Floor and mats',
    ask: 'firm and dry; each mat’s short edge at the wall, no edge curled',
  },
  {
    id: 'behind',
    short: 'nothing behind',
    label: 'Behind',
    ask: 'a body’s length and 60 cm clear behind the hands; nobody walks or sits there',
  },
  {
    id: 'chairs',
    short: 'chairs locked',
    label: 'Chairs',
    ask: 'locked open, four feet on a sticky mat, backs to the wall, pushed on once',
  },
  {
    id: 'blocks',
    short: 'blocks sound',
    label: 'Blocks and blankets',
    ask: 'no crumbs, dents or wrinkles; stacks flush to the wall, pressed with both hands',
  },
  {
    id: 'straps',
    short: 'straps sound',
    label: 'Straps and sliders',
    ask: 'buckles off the skin, tails tucked, let go once; no slider under a hand that carries',
  },
] as const
export type FloorCheckId = (typeof FLOOR_CHECK)[number]['id']

/** What stands at the foot of a class's sheet: before anybody goes up, when to stop, and who decides. */
export const SHEET_FOOT = `Before anybody goes up: ${FLOOR_CHECK.map((c) => c.short).join(' · ')} · way out said. Stop for sharp pain, tingling, dizziness, pressure in eyes or ears. Rest is always a version. Not medical advice; local codes and a clinician’s word come first.`
