import type { SegmentName } from '../body/anthropometry'

const WAYS: Readonly<Record<SegmentName, string>> = {
  upperArm: 'Arm hanging, elbow bent: from the bony edge of the shoulder to the point of the elbow.',
  forearm: 'Elbow bent: from the point of the elbow to the crease of the wrist.',
  hand: 'From the crease of the wrist to the tip of the middle finger.',
  trunk: 'Standing: from the bony edge of the shoulder straight down to the bone at the side of the hip.',
  headNeck: 'Back to a wall, a book on the head: from the bony edge of the shoulder straight up to the book.',
  thigh: 'Standing: from the bone at the side of the hip to the fold of the knee, on the outside.',
  shank: 'Standing: from the fold of the knee to the middle of the ankle bone, on the outside.',
  ankleHeight: 'Standing: from the middle of the ankle bone to the floor.',
  foot: 'Heel to a wall: from the wall to the longest toe.',
  shoulderBreadth: 'Across the back: from the outer edge of one shoulder to the other, tape straight.',
  hipBreadth: 'Standing, a book at each hip: from book to book.',
}

/** Where a tape goes for a length: from what to what, and how they stand. The ends are those of the mechanics' segments. */
export function tapeFor(segment: SegmentName): string {
  return WAYS[segment]
}
