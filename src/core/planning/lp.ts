/** A variable and its factor in a sum. */
export type Term = readonly [name: string, factor: number]

/** A linear programme under construction: variables are named as they come, none is below nought. */
export class Programme {
  private readonly objective = new Map<string, number>()
  private readonly rows: string[] = []

  /** What one unit of a variable is worth. */
  points(name: string, worth: number): void {
    this.objective.set(name, (this.objective.get(name) ?? 0) + worth)
  }

  /** A condition on a sum. */
  row(terms: readonly Term[], sense: '=' | '<=' | '>=', bound: number): void {
    const used = terms.filter(([, factor]) => factor !== 0)
    if (used.length > 0) this.rows.push(`c${this.rows.length}: ${sum(used)} ${sense} ${round(bound)}`)
  }

  /** Variables that are worth something, by how they are called. */
  named(like: RegExp): string[] {
    return [...this.objective.keys()].filter((name) => like.test(name))
  }

  /** The programme as text, to be made as large as it gets. */
  text(whole: readonly string[]): string {
    return [
      'Maximize',
      `obj: ${sum([...this.objective].filter(([, worth]) => worth !== 0))}`,
      'Subject To',
      ...this.rows,
      ...(whole.length > 0 ? ['Binary', ...inLines(whole)] : []),
      'End',
    ].join('\n')
  }
}

function sum(terms: readonly Term[]): string {
  return inLines(
    terms.map(([name, factor]) => `${factor < 0 ? '-' : '+'} ${round(Math.abs(factor))} ${name}`),
  ).join('\n ')
}

/** Readers of this format take lines of some five hundred characters. */
function inLines(words: readonly string[]): string[] {
  const lines: string[] = []
  for (let i = 0; i < words.length; i += 12) lines.push(words.slice(i, i + 12).join(' '))
  return lines
}

function round(value: number): string {
  return Number(value.toFixed(6)).toString()
}
