import 'server-only'
import type { Apart } from '@/core/classes/apart'
import { changeOn } from '@/core/classes/change'
import { isClosing, judgeLoad, type Cap, type Caps, type Verdict } from '@/core/screening/caps'
import { closesStage } from '@/core/screening/stage-limits'
import { insteadOfSetup, stagesOf } from '@/core/screening/setup-limits'
import { describeClosedSetup, referralIn, verdictWord } from '@/core/words/limit'
import { describeLoadFrom } from '@/core/words/load'
import { describeChange } from '@/core/words/plan'
import type { Context } from '../context'
import type { Judge } from './judge'

/** Strictest first. */
export const STRICT_FIRST: readonly Verdict[] = ['barred', 'left-out', 'changed', 'watch']

/** A limit in words with how strict it is; one that a stricter one covers is left out. */
export function capLines({ caps }: Pick<Caps, 'caps'>): { verdict: Verdict; text: string }[] {
  const strictness = (cap: Cap): number => STRICT_FIRST.indexOf(verdictOf(cap))
  const lines = caps
    .filter(
      (cap) =>
        !caps.some((o) => o.tag === cap.tag && o.level <= cap.level && strictness(o) < strictness(cap)),
    )
    .map((cap) => {
      const seconds = cap.mostSeconds === null ? '' : ` for ${cap.mostSeconds} s at most`
      return { verdict: verdictOf(cap), text: `${describeLoadFrom(cap)}${seconds}` }
    })
  return [...new Map(lines.map((line) => [`${line.verdict} ${line.text}`, line])).values()]
}

/** What is barred or left out tonight, in words, each once, what only tonight adds first; nothing on a private screen. */
export function closedTonight({ privacy }: Context, judge: Judge, id: string): string[] {
  if (privacy.hidden) return []
  // An alarm or a fever leaves nothing to list: what to do first is all that counts.
  const alarms = judge.tonight(id).caps.filter((c) => c.refer === 'urgent' || c.refer === 'home')
  const referral = referralIn(alarms)
  if (referral !== null) return [`everything tonight: ${referral}`]
  const standing = closedIn(judge.limits(id))
  const fresh = closedIn(judge.tonight(id)).filter((word) => !standing.includes(word))
  return [...new Set([...fresh, ...standing])]
}

/** What limits do to a setup for somebody: it is closed, with what instead, or changed; an empty text where nothing. */
export type SetupLimit = { readonly closed: boolean; readonly text: string }
export const UNLIMITED: SetupLimit = { closed: false, text: '' }

/** How a setup stands for somebody tonight. On a private screen what is closed is still said, without a word of why. */
export function setupTonight(
  { practice, privacy }: Context,
  judge: Judge,
  { id, name }: { readonly id: string; readonly name: string },
  setupId: string,
): SetupLimit {
  const limits = judge.tonight(id)
  const instead = insteadOfSetup(practice, limits, setupId)
  if (instead !== undefined)
    return {
      closed: true,
      text: describeClosedSetup(
        name.split(' ')[0] ?? name,
        instead,
        privacy.hidden ? null : referralIn(limits.caps),
      ),
    }
  const open = stagesOf(practice, setupId).find((stage) => !closesStage(practice, limits, stage))
  return open && !privacy.hidden ? { closed: false, text: describeChange(changeOn(open, limits)) } : UNLIMITED
}

/** Limits by strictness, one line each. */
export function limitLines(caps: Caps): { word: string; text: string }[] {
  const lines = capLines(caps)
  const referral = referralIn(caps.caps)
  const first = referral === null ? [] : [{ word: 'First', text: referral }]
  const rest = STRICT_FIRST.flatMap((verdict) => {
    const own = lines.filter((l) => l.verdict === verdict).map((l) => l.text)
    return own.length === 0 ? [] : [{ word: verdictWord(verdict), text: own.join(', ') }]
  })
  return [...first, ...rest]
}

function closedIn({ caps }: Pick<Caps, 'caps'>): string[] {
  const closing = caps.filter(isClosing)
  // What closes a load from a lower level closes all above it: said once.
  const lowest = closing.filter((c) => !closing.some((o) => o.tag === c.tag && o.level < c.level))
  return [...new Set(lowest.map((c) => describeLoadFrom(c)))]
}

function verdictOf(cap: Cap): Verdict {
  return judgeLoad({ [cap.tag]: cap.level }, { caps: [cap] }).verdict
}

/** On a screen that others see, who does something else is told, and nothing of how a limit changes what they do. */
export function apartHere({ privacy }: Context, apart: readonly Apart[]): Apart[] {
  if (!privacy.hidden) return [...apart]
  return apart.filter(({ joins }) => !joins).map((one) => ({ ...one, change: null }))
}
