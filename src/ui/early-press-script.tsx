import { holdPresses } from './early-press'

/** What holds presses, sent as its own text before anything else of the page runs. */
export function EarlyPressScript({ nonce }: { nonce: string | undefined }) {
  return <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${holdPresses.toString()})()` }} />
}
