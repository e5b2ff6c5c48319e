import type { Message } from '../home/mail'
import { list } from './number'

/** A message in words: what stands in its subject, and its lines. */
export type MessageWords = { readonly subject: string; readonly body: readonly string[] }

/** What somebody would have read. The link itself is in no message that is kept, and no word of health is. */
export function describeMessage(
  { kind }: Pick<Message, 'kind'>,
  by: {
    readonly to: string
    readonly from: string
    /** What of their sheet is open today; null where nothing is. */
    readonly week: { readonly minutes: number; readonly open: readonly string[] } | null
  },
): MessageWords {
  const hello = `Hello ${by.to.split(' ')[0] ?? ''},`
  if (kind === 'link' || by.week === null)
    return {
      subject: 'Your week at home',
      body: [hello, 'your sheet for the week opens with your private link. Tap there what you did.', by.from],
    }
  return {
    subject: `Tomorrow: ${by.week.minutes} minutes at home`,
    body: [hello, `${list(by.week.open)}. Skip what does not feel right and say so next time.`, by.from],
  }
}
