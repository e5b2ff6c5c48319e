import type { PositionSpec } from '../position'
import { SHAPES, balance, STRADDLE } from './free-stand'
import { HOP_START } from './hop-start'
import { heelsOnWall, CHEST_TO_WALL, FOREARM_CHEST_TO_WALL, kickStart, BACK_ON_STACK } from './wall-stand'

export const FOREARM_STANDS: readonly PositionSpec[] = [
  kickStart('forearm-stand-kick-start', 'Forearm stand, kick start', 'forearms'),
  balance('forearm-stand-tuck', 'Forearm stand, tuck', 'forearms', SHAPES.tuck),
  balance('forearm-stand-one-knee', 'Forearm stand, one knee in', 'forearms', SHAPES.oneKnee),
  balance('forearm-stand-v-split', 'Forearm stand, legs in a V', 'forearms', SHAPES.split),
  balance('forearm-stand-straight', 'Forearm stand, straight', 'forearms', SHAPES.straight),
  heelsOnWall({
    id: 'forearm-stand-heels-on-wall',
    name: 'Forearm stand, heels on the wall',
    kind: 'forearms',
  }),
  heelsOnWall({
    id: 'forearm-stand-one-foot-on-wall',
    name: 'Forearm stand, one foot on the wall',
    kind: 'forearms',
    oneFoot: true,
  }),
  FOREARM_CHEST_TO_WALL,
  BACK_ON_STACK,
]

export const HANDSTANDS: readonly PositionSpec[] = [
  kickStart('handstand-kick-start', 'Handstand, kick start', 'hands'),
  HOP_START,
  balance('handstand-tuck', 'Handstand, tuck', 'hands', SHAPES.tuck),
  balance('handstand-v-split', 'Handstand, legs in a V', 'hands', SHAPES.split),
  STRADDLE,
  balance('handstand-straight', 'Handstand, straight', 'hands', SHAPES.straight),
  heelsOnWall({ id: 'handstand-heels-on-wall', name: 'Handstand, heels on the wall', kind: 'hands' }),
  heelsOnWall({
    id: 'handstand-one-foot-on-wall',
    name: 'Handstand, one foot on the wall',
    kind: 'hands',
    oneFoot: true,
  }),
  CHEST_TO_WALL,
]
