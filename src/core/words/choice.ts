/** What the choices of a setup are called. */
const CHOICES: Readonly<Record<string, string>> = {
  'thumb-index': 'Thumbs along the near face, index fingers along the ends',
  'outer-faces': 'Palms on the outer faces',
  'wrist-line': 'Wrist crease level with the near face',
  M3: 'Seated leg length, marked beside the hips',
  M9: 'Hands and knees, soles at the wall',
  'M9-pointed': 'Hands and knees, toes pointed',
  M4: 'Standing at arm’s length, hands at the feet',
  seat: 'The seat',
  'back-rest': 'The back-rest',
  'whole-stand': 'Hips over the shoulders',
  'half-stand': 'Half way: trunk slanted, hips in the hands',
  'firm-blankets': 'Firm blankets',
  'soft-pillows': 'Soft pillows: they count half',
  looped: 'Closed in a loop',
  'held-open': 'Held open',
}

/** A choice's name on screen. */
export function choiceLabel(choice: string): string {
  return CHOICES[choice] ?? choice
}
