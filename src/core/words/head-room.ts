import { CLEAR_MARGIN_CM, type HeadRoom } from '../body/head-room'
import { length, type Wording } from './number'

const ANSWER: Readonly<Record<HeadRoom['answer'], string>> = {
  yes: 'Yes: these arms are longer than head and neck. If the head touches, it is the push that is missing.',
  'with-a-push': 'With a push: the crown clears once the shoulder blades lift. Practise the push first.',
  'depends-on-the-tape':
    'It depends on a finger’s breadth: measure the upper arm and the head with the neck, then ask again.',
  'raise-the-forearms':
    'Not on the floor: these arms are short for this head and neck. That is no want of strength.',
}

/** Whether the arms carry the head, from the body and with its error. */
export function describeHeadRoom(
  { clearCm, withinCm, pushedCm, answer, raiseCm }: HeadRoom,
  wording: Wording,
): string[] {
  const clear =
    clearCm >= 0
      ? `${length(clearCm, wording)} clear before a push`
      : `${length(-clearCm, wording)} short before a push`
  return [
    ANSWER[answer],
    `The crown is ${clear}, ± ${length(withinCm, wording)}; with a push ${length(pushedCm, wording)}.`,
    ...(raiseCm > 0
      ? [
          `Lay ${length(raiseCm, wording)} under both forearms: what is lacking and ${length(CLEAR_MARGIN_CM, wording)} more.`,
        ]
      : []),
  ]
}
