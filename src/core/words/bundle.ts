/** Why a studio's file is not taken in. */
export type BundleRefusal =
  | { readonly code: 'no-zip' | 'no-bundle' | 'too-large' | 'strange-file' | 'passphrase' | 'not-empty' }
  | { readonly code: 'newer'; readonly version: number }
  | { readonly code: 'damaged'; readonly file: string }
  | { readonly code: 'row'; readonly table: string; readonly line: number; readonly column: string }
  | { readonly code: 'dangling'; readonly table: string }

const STORED = 'Nothing was stored.'

/** The same in a sentence, and what to do. */
export function describeBundle(why: BundleRefusal): string {
  switch (why.code) {
    case 'no-zip':
      return `That file does not open: it may have been cut short on its way. ${STORED}`
    case 'no-bundle':
      return `That is no studio’s file. Take the one that “Take it all out” made. ${STORED}`
    case 'too-large':
      return `That file is larger than any studio. ${STORED}`
    case 'strange-file':
      return `Something in that file is not of a studio. ${STORED}`
    case 'passphrase':
      return `The health notes do not open with that passphrase. Type it again, or leave it empty to bring in everything else. ${STORED}`
    case 'not-empty':
      return `Somebody is here already. A studio’s file goes into an empty one, so that nothing of either is mixed. ${STORED}`
    case 'newer':
      return `That file is of a newer release (${why.version}). Update this one first. ${STORED}`
    case 'damaged':
      return `A part of that file is damaged (${why.file}). Take it out once more where it came from. ${STORED}`
    case 'row':
      return `Line ${why.line} of ${why.table} does not read${why.column === '' ? '' : ` (${why.column})`}. ${STORED}`
    case 'dangling':
      return `Something in ${why.table} points at what is not in the file. ${STORED}`
  }
}
