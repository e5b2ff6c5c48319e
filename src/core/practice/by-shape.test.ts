import { closes } from '../screening/caps'
import { changeOn } from '../classes/change'
import { limited } from '@/testing/briefs'
import { findById } from './find'
import { buildLibrary, SHIPPED, shippedPractice } from './library'
import type { Load } from './schema'

const practice = shippedPractice()

/** Default tags of common items (cautions.md 0.2 and rulings 25 and 27), typed from there once more: the least of each drill. */
const TABLE: Readonly<Record<string, readonly string[]>> = {
  'WB2 ST2': ['DR-scap-plank', 'DR-top-lower', 'DR-lean-range', 'DR-knee-elbow-plank'],
  'WB3 ST2': ['DR-pushup-hold', 'DR-drop-land'],
  'FB2 ST2': ['DR-forearm-plank', 'DR-clasped-plank', 'DR-forearm-slide', 'DR-side-forearm-plank'],
  'WB2 HBH1 SE2': [
    ...['DR-dog-pedal', 'DR-dog-plank-shift', 'DR-short-dog-blades', 'DR-tiptoe-walk', 'DR-spine-wave'],
    ...['DR-strap-push-out', 'DR-blocks-hug', 'DR-bolster-lean', 'DR-neck-hang'],
  ],
  'WB2 HBH1 SE2 FR1': ['DR-dog-spread-iso', 'DR-exit-rehearsal', 'DR-bolster-lean'],
  'FB2 HBH1 SE2 ST2': [
    ...['DR-dolphin-hold', 'DR-dolphin-rock', 'DR-dolphin-rock-clasped', 'DR-dolphin-plank-walk'],
    'DR-dolphin-to-dog',
  ],
  'WB2 FB2 HBH1 ST2': ['DR-dolphin-elbow-press'],
  'FB3 HBH1 SE2 FR1': ['DR-dolphin-leg-lift', 'DR-dolphin-leg-rock'],
  'FB2 SE3 HBH1': ['DR-wall-corner-dolphin'],
  'WB2 SX2 PR1': ['DR-sphinx-press'],
  'FB1 SX1 PR1': ['DR-sphinx-quad'],
  'WB1 SX1 ST1 PR1': ['DR-prone-press'],
  'SE2 HBH1': ['DR-puppy'],
  'SE3 HBH1': ['DR-elbows-on-blocks', 'DR-chair-chest-drop', 'DR-hands-behind'],
  'SF1 ST1': ['DR-boat-lean'],
  'SF2 ST2': ['DR-hollow', 'DR-cross-block-press'],
  'SF2 ST2 AC2': ['DR-supine-handstand-crow', 'DR-curl-up', 'DR-reverse-curl'],
  'WB3 SF2 AC2 ST2 FR1': ['DR-lolasana'],
  'AC2 SF2 KN2': ['DR-crow-slide', 'DR-side-crow-slide'],
  'WB3 HBH2 FR2': ['DR-tuck-hop'],
  'WB3 HBH3 FR3 SX1': ['DR-straddle-hop'],
  'WB3 HBH3 SE2 FR3 SX2': ['DR-split-kick', 'DR-wall-taps', 'DR-sole-press-off'],
  'WB3 HBH3 SE2 FR2 ST2': ['DR-wall-weight-shift'],
  'HB2 FB2 HBH2': ['DR-head-hover', 'DR-knee-in'],
  'NF1 SX2 HBH1': ['DR-bridge'],
  FR2: ['DR-vertical-bounce', 'DR-low-hop', 'DR-dolphin-hop', 'DR-slide-timing'],
  KN2: ['DR-squat-hold', 'DR-sphinx-quad', 'DR-hands-behind', 'DR-rabbit-roll', 'DR-arrive-scan'],
  KN3: ['DR-lotus-curl', 'DR-hip-outward'],
  SU2: ['DR-hollow', 'DR-back-over-prop', 'DR-bridge'],
  SU1: ['DR-pelvic-tilt', 'DR-head-lift-hands', 'DR-back-breath', 'DR-curl-up'],
}
const levels = (words: string): Load =>
  Object.fromEntries(words.split(' ').map((w) => [w.slice(0, -1), Number(w.slice(-1))]))

it.each(Object.entries(TABLE))('%s at least', (words, ids) => {
  for (const id of ids) {
    const { load } = findById(practice.drills, id)
    for (const [tag, level] of Object.entries(levels(words)) as [keyof Load & 'WB', number][])
      expect([id, tag, (load[tag] ?? 0) >= level]).toEqual([id, tag, true])
  }
})

describe('an effort is measured by its seconds', () => {
  const changed = (part: object) =>
    buildLibrary({
      ...SHIPPED,
      drills: (SHIPPED.drills as { id: string }[]).map((d) =>
        d.id === 'DR-scap-plank' ? { ...d, ...part } : d,
      ),
    })
  const strain = (part: object) => findById(changed(part).drills, 'DR-scap-plank').load.ST
  const reps = (value: number) => ({ dose: { reps: { value, min: 1, max: 20 } }, load: { WB: 2, ST: 1 } })
  it('two repetitions are short, three are not, and none of them is a hold of over half a minute', () => {
    expect([2, 3, 6, 20].map((n) => strain(reps(n)))).toEqual([1, 2, 2, 2])
  })
  it('a hold that is written as short is raised to what it is', () => {
    const held = (value: number) => ({
      dose: { seconds: { value, min: 1, max: 90 } },
      load: { WB: 2, ST: 1 },
    })
    expect([9, 10, 30, 31].map((s) => strain(held(s)))).toEqual([1, 2, 2, 3])
  })
})

describe('what is closed by it', () => {
  const open = (id: string, ...conditions: string[]): boolean =>
    !closes(limited(...conditions), findById([...practice.drills, ...practice.stages], id).load)
  it('nothing prone, nor long on the back but propped, for whoever is pregnant', () => {
    for (const { id, load } of [...practice.drills, ...practice.stages]) {
      if (load.PR) expect([id, open(id, 'PREG')]).toEqual([id, false])
      if (load.SU !== 2) continue
      const { because } = { because: changeOn({ load }, limited('PREG'))?.words ?? [] }
      expect([id, !open(id, 'PREG') || because.some((w) => /Propped/.test(w))]).toEqual([id, true])
    }
    expect(
      ['PU-01', 'PU-02', 'DR-prone-press', 'DR-sphinx-quad', 'DR-hollow'].map((id) => open(id, 'PREG')),
    ).toEqual(Array(5).fill(false))
    expect([
      open('PU-05b', 'PREG'),
      open('DR-back-over-prop', 'PREG'),
      open('DR-pelvic-tilt', 'PREG'),
    ]).toEqual([...[true, true, true]])
  })
  it('an unbroken plank or dolphin, for whoever may not strain', () => {
    const moving = [
      'DR-scap-plank',
      'DR-dolphin-rock',
      'DR-forearm-slide',
      'DR-knee-elbow-plank',
      'DR-crow-slide',
    ]
    for (const condition of ['HEART', 'VASC', 'EYE-R', 'HERN', 'POST', 'SURG-trunk', 'CONC'])
      expect([condition, moving.filter((id) => open(id, condition))]).toEqual([condition, []])
  })
  it('knees and hands in drills as in steps', () => {
    expect(['JOINT-knee', 'SURG-leg'].map((c) => open('DR-squat-hold', c))).toEqual([false, false])
    expect(['DR-lotus-curl', 'DR-hip-outward'].map((id) => open(id, 'KNEE'))).toEqual([false, false])
    expect([open('DR-sphinx-press', 'WRI-break'), open('DR-sphinx-press', 'BACK-ext')]).toEqual([
      false,
      false,
    ])
    expect(['DR-dog-pedal', 'DR-dog-plank-shift', 'DR-spine-wave'].map((id) => open(id, 'SHO-pain'))).toEqual(
      [...[false, false, false]],
    )
    const words = (id: string) =>
      changeOn(findById([...practice.drills, ...practice.stages], id), limited('LEG'))?.words
    expect(words('HS-01')).toEqual(['A padded knee.'])
    expect(words('DR-vertical-bounce')).toEqual(['Walking up or a helped leg instead of hops.'])
  })
  it.each([
    [
      'EYE-P',
      [
        'FS-03a',
        'FS-04',
        'FS-05',
        'FS-06',
        'SH-02',
        'SH-03',
        'SH-06',
        'DR-bridge',
        'DR-neck-hang',
        'DR-dolphin-hold',
      ],
      ['FS-03f', 'HS-03', 'DR-forward-fold'],
    ],
    ['BPH-open', ['FS-03e', 'DR-dolphin-rock'], ['HS-02']],
    ['BACK-flex', ['CR-05', 'CR-06', 'DR-hollow', 'DR-curl-up', 'CR-02'], ['SH-10', 'SH-12']],
    ['REFL', ['CR-06', 'DR-curl-up'], ['HS-05c', 'CR-01']],
    ['LEG', ['CR-06', 'SH-08'], ['FS-09', 'HS-07']],
    ['WRI-stiff', ['DR-wrist-heel-lift', 'DR-fingertip-lift'], ['PU-04', 'HS-03']],
  ])('a change that a shape cannot take closes it: %s', (condition, shut, changed) => {
    expect(shut.filter((id) => open(id, condition))).toEqual([])
    for (const id of changed) expect([id, open(id, condition)]).toEqual([id, true])
  })
  it('and what is changed is told only what its shape can do', () => {
    for (const entry of [...practice.drills, ...practice.stages, ...practice.counterposes])
      for (const rule of practice.cautions.filter((c) => c.change?.how !== undefined))
        for (const condition of rule.conditions) {
          const told = changeOn(entry, limited(condition))?.words.includes(rule.change?.words ?? '') === true
          if (told)
            expect([entry.id, rule.id, entry.load.cannot?.includes(rule.change!.how!)]).not.toContain(true)
        }
  })
})
