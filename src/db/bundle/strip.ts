import type { Row } from './tables'

/** Tables, or parts of rows, that tell of health: they are in a bundle only sealed, and only when asked for. */
type Strip = (row: Row) => Row | null

const gone: Strip = () => null

/** What of each table stays where health stays behind. */
export const WITHOUT_HEALTH: Readonly<Record<string, Strip>> = {
  health_record: gone,
  incident: gone,
  // Words about somebody may be about anything.
  note: gone,
  // Kept decisions and briefs say what limits did.
  class_decision: gone,
  class_plan: (row) => ({ ...row, brief: null, plan: withoutChanges(row.plan) }),
  // A report of where it hurts.
  observation: (row) => (row.region === null || row.region === undefined ? row : null),
  studio: (row) => ({ ...row, key_check: null, pass_hash: null }),
  // Ways in end with the studio they were made in.
  home_link: gone,
  class_link: gone,
}

function withoutChanges(plan: Row[string] | undefined): string {
  const read = JSON.parse(String(plan)) as { blocks?: { people?: object[] }[] }
  return JSON.stringify({
    ...read,
    blocks: read.blocks?.map((block) =>
      block.people ? { ...block, people: block.people.map((p) => ({ ...p, change: null })) } : block,
    ),
  })
}
