import { LEVELS, PAGES, reaches, ROLES, type Asker } from './roles'

const ASKERS: readonly Asker[] = ['nobody', ...ROLES]

/** Which page opens to whom, as a table for docs/roles.md. */
export function matrixText(): string {
  const lines = LEVELS.flatMap((level) =>
    PAGES.filter(([, l]) => l === level)
      .map(([path]) => path)
      .toSorted()
      .map((path) => [`\`${path}\``, ...ASKERS.map((asker) => (reaches(asker, level) ? 'yes' : '–'))]),
  )
  return [['page', ...ASKERS], ['---', ...ASKERS.map(() => '---')], ...lines]
    .map((cells) => `| ${cells.join(' | ')} |`)
    .join('\n')
}
