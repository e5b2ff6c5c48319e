import { answersTo, enoughOf, namesIn } from './after'
import { shapesKnown, supportDiffers } from './integrity-loads'
import { byEyeFits, classUseFits, pictured } from './integrity-pictures'
import type { Library } from './library'
import { RUNGS, type Drill, type Gate, type Stage } from './schema'

/** One thing wrong in the practice data: which rule, where, and what. */
export type Flaw = { readonly rule: Rule; readonly at: string; readonly detail: string }

const RULES = {
  'ids-unique': idsUnique,
  'ids-resolve': idsResolve,
  'gates-fit-checks': gatesFitChecks,
  'ladder-acyclic': ladderAcyclic,
  'ladder-reachable': ladderReachable,
  'approach-shows': approachShows,
  'stage-complete': stageComplete,
  'exit-usable': exitUsable,
  'fault-mendable': faultMendable,
  'drill-varies': drillVaries,
  'capability-drilled': capabilityDrilled,
  'gate-drilled': gateDrilled,
  'rungs-covered': rungsCovered,
  'approach-default': approachDefault,
  'caution-effect': cautionEffect,
  'setup-driven': setupDriven,
  'support-differs': supportDiffers,
  'shapes-known': shapesKnown,
  pictured,
  'by-eye-fits': byEyeFits,
  'class-use-fits': classUseFits,
} as const satisfies Record<string, (practice: Library) => Omit<Flaw, 'rule'>[]>

export type Rule = keyof typeof RULES

/** Every flaw of the practice, rule by rule; an empty list is what ships. */
export function integrityFlaws(practice: Library): Flaw[] {
  return (Object.keys(RULES) as Rule[]).flatMap((rule) =>
    RULES[rule](practice).map((flaw) => ({ rule, ...flaw })),
  )
}

type Found = Omit<Flaw, 'rule'>

function idsUnique(p: Library): Found[] {
  return Object.entries(p).flatMap(([list, entries]) => {
    const ids = (entries as readonly object[]).flatMap((e) => ('id' in e ? [String(e.id)] : []))
    return ids.filter((id, i) => ids.indexOf(id) !== i).map((id) => ({ at: list, detail: `${id} twice` }))
  })
}

/** Which lists a reference may point into. */
function idsResolve(p: Library): Found[] {
  const ids = (list: readonly { id: string }[]): Set<string> => new Set(list.map((e) => e.id))
  const stages = ids(p.stages)
  const isStage = (name: string): boolean => stages.has(name) || p.stages.some((s) => answersTo(s.id, name))
  const has = (list: readonly { id: string }[]) => {
    const known = ids(list)
    return (id: string): boolean => known.has(id)
  }
  const [setup, fault, exit, assist, check, drill] = [
    p.setups,
    p.faults,
    p.exits,
    p.assists,
    p.checks,
    p.drills,
  ].map(has)
  const dangling = (
    at: string,
    names: readonly string[],
    known: ((id: string) => boolean) | undefined,
  ): Found[] => names.filter((name) => !known?.(name)).map((name) => ({ at, detail: `${name} is nowhere` }))
  return [
    ...p.stages.flatMap((s) => [
      ...dangling(s.id, [...namesIn(s.after), ...s.ifNot, ...s.fadeTo], isStage),
      ...dangling(s.id, s.setups, setup),
      ...dangling(s.id, s.faults, fault),
      ...dangling(s.id, s.exits, exit),
      ...dangling(s.id, s.assists, assist),
      ...dangling(
        s.id,
        s.gates.map((g) => g.check),
        check,
      ),
    ]),
    ...p.faults.flatMap((f) => [...dangling(f.id, f.setups, setup), ...dangling(f.id, f.drills, drill)]),
    ...p.checks.flatMap((c) => [...dangling(c.id, c.drills, drill), ...dangling(c.id, c.seenIn, isStage)]),
    ...p.drills.flatMap((d) => [
      ...dangling(d.id, [...d.after, ...d.before], drill),
      ...dangling(d.id, d.setups, setup),
      ...dangling(d.id, d.faults, fault),
    ]),
    ...p.setups.flatMap((s) => [
      ...dangling(s.id, [...s.more, ...s.less], setup),
      ...dangling(s.id, s.prevents, fault),
    ]),
    ...[...p.warmups, ...p.counterposes].flatMap((b) => [
      ...dangling(b.id, b.stages, isStage),
      ...dangling(b.id, b.drills, drill),
    ]),
    ...p.checks.flatMap((c) => dangling(c.id, c.voids, fault)),
    ...p.capabilities.flatMap((c) => [
      ...dangling(c.id, c.checks, check),
      ...dangling(c.id, c.drills, drill),
    ]),
    ...p.bundles.flatMap((b) => dangling(b.id, b.checks, check)),
    ...p.approaches.flatMap((a) => dangling(a.id, a.stages, isStage)),
    ...p.ways.flatMap((w) => dangling(w.of, [...(w.hides ?? []), ...(w.prefers ?? [])], isStage)),
    ...[
      ...p.presets.map((x) => [x.id, Object.entries(x.choices)] as const),
      ...p.clashes.map((c) => [c.problem, [c.a, c.b].map((x) => [x.approach, x.option] as const)] as const),
    ].flatMap(([at, choices]) =>
      choices
        .filter(
          ([id, option]) => !p.approaches.find((a) => a.id === id)?.options.some((o) => o.id === option),
        )
        .map(([id, option]) => ({ at, detail: `${id} has no option ${option}` })),
    ),
  ]
}

/** A threshold must be a value that its check can give, in the direction in which the check gets better. */
function gatesFitChecks(p: Library): Found[] {
  return p.stages.flatMap((stage) =>
    stage.gates.flatMap((gate) => {
      const check = p.checks.find((c) => c.id === gate.check)
      const wrong = check ? misfit(gate, check) : null
      return wrong ? [{ at: stage.id, detail: `${gate.check}: ${wrong}` }] : []
    }),
  )
}

function misfit(gate: Gate, check: Library['checks'][number]): string | null {
  if (gate.op === 'recorded') return null
  if ((gate.op === 'yes') !== (check.kind === 'yes-no'))
    return 'yes belongs to yes-or-no checks and only to them'
  if (gate.op === 'yes') return null
  if (gate.value === undefined) return 'no threshold'
  if (gate.value < check.min || gate.value > check.max) return `${gate.value} is outside what it can give`
  if (wantsSides(gate) && check.side !== 'each') return 'asks each side of a check that has none'
  if (gate.side === 'gap') return null
  if (gate.op === '>=' && check.betterIs === 'less') return 'asks for more of what should be less'
  if (gate.op === '<=' && check.betterIs === 'more') return 'asks for less of what should be more'
  const outside =
    (gate.min !== undefined && gate.value < gate.min) || (gate.max !== undefined && gate.value > gate.max)
  return outside ? 'the default lies outside its own range' : null
}

function wantsSides({ side }: Gate): boolean {
  return side === 'each' || side === 'gap'
}

function predecessors(p: Library, stage: Stage): Stage[] {
  const names = namesIn(stage.after)
  return p.stages.filter((s) => names.some((name) => answersTo(s.id, name)))
}

function ladderAcyclic(p: Library): Found[] {
  const state = new Map<string, 'open' | 'done'>()
  const flaws: Found[] = []
  const visit = (stage: Stage): void => {
    if (state.get(stage.id) === 'done') return
    if (state.get(stage.id) === 'open') {
      flaws.push({ at: stage.id, detail: 'comes after itself' })
      return
    }
    state.set(stage.id, 'open')
    for (const before of predecessors(p, stage)) visit(before)
    state.set(stage.id, 'done')
  }
  p.stages.forEach(visit)
  return flaws
}

/** From the feet of the ladders every stage can be come to. */
function ladderReachable(p: Library): Found[] {
  const reached = new Set<string>()
  const open = (stage: Stage): boolean => {
    const has = (name: string): boolean => [...reached].some((id) => answersTo(id, name))
    return enoughOf(stage.after, has)
  }
  for (let grew = true; grew;) {
    const before = reached.size
    for (const stage of p.stages) if (open(stage)) reached.add(stage.id)
    grew = reached.size > before
  }
  return p.stages.filter((s) => !reached.has(s.id)).map((s) => ({ at: s.id, detail: 'nothing leads here' }))
}

/**
 * Under the defaults and under every preset, a visible stage has a visible one to come from; and no question hides a
 * stage whatever is answered.
 */
function approachShows(p: Library): Found[] {
  const settings = [{ id: 'defaults', choices: {} as Record<string, string> }, ...p.presets]
  const stranded = settings.flatMap(({ id, choices }) => {
    const hidden = hiddenUnder(p, choices)
    return (
      p.stages
        // An own step is shown with what it is built on.
        .filter((stage) => stage.like === undefined && !hidden.has(stage.id))
        .filter((stage) => {
          const before = predecessors(p, stage)
          return before.length > 0 && before.every((b) => hidden.has(b.id))
        })
        .map((stage) => ({ at: stage.id, detail: `only hidden stages lead here under ${id}` }))
    )
  })
  const never = p.approaches.flatMap((a) => {
    const [first = [], ...rest] = a.options.map((o) => hiddenBy(p, a.id, o.id))
    return first
      .filter((stage) => rest.every((hides) => hides.includes(stage)))
      .map((at) => ({ at, detail: `${a.id} hides it always` }))
  })
  return [...stranded, ...never]
}

/** Stages not offered under a set of choices; questions left open take their default. */
function hiddenUnder(p: Library, choices: Readonly<Record<string, string>>): ReadonlySet<string> {
  return new Set(p.approaches.flatMap((a) => hiddenBy(p, a.id, choices[a.id] ?? a.default)))
}

function hiddenBy(p: Library, approach: string, option: string): readonly string[] {
  return p.ways.filter(({ of }) => of === `${approach}:${option}`).flatMap(({ hides }) => hides ?? [])
}

function stageComplete(p: Library): Found[] {
  return p.stages.flatMap((s) => [
    ...(s.gates.length === 0 && !s.noGates ? [{ at: s.id, detail: 'no gates and no reason why' }] : []),
    ...(s.faults.length === 0 ? [{ at: s.id, detail: 'no faults to look for' }] : []),
    ...((s.dose.sets ?? s.dose.reps ?? s.dose.breaths ?? s.dose.seconds)
      ? []
      : [{ at: s.id, detail: 'no dose' }]),
  ])
}

/** At least one way out loads no tag higher than the stage itself does, so that whoever may enter may leave. */
function exitUsable(p: Library): Found[] {
  const usable = (stage: Stage, exitId: string): boolean =>
    Object.entries(p.exits.find((e) => e.id === exitId)?.load ?? { HB: 9 }).every(
      ([tag, level]) => (stage.load[tag as keyof Stage['load']] ?? 0) >= level,
    )
  return p.stages
    .filter((s) => !s.exits.some((id) => usable(s, id)))
    .map((s) => ({ at: s.id, detail: 'every exit loads more than the stage' }))
}

function faultMendable(p: Library): Found[] {
  return p.faults
    .filter((f) => f.drills.length === 0 && !f.noDrill)
    .map((f) => ({ at: f.id, detail: 'no drill and no reason why' }))
}

/** Every drill can be made easier or harder. */
function drillVaries(p: Library): Found[] {
  return p.drills
    .filter((d) => !d.easier && !d.harder)
    .map((d) => ({ at: d.id, detail: 'no variant either way' }))
}

/** Every capability has a drill that needs nothing from the cupboard, or says why not. */
function capabilityDrilled(p: Library): Found[] {
  return p.capabilities
    .filter(
      ({ id, needsProp }) =>
        !needsProp && !p.drills.some((d) => (d.for[id] ?? 0) >= 1 && d.props.length === 0),
    )
    .map(({ id }) => ({ at: id, detail: 'no drill without props' }))
}

/**
 * Every check that a step asks for can be worked on: by a drill, one of them side by side where the check tells sides apart,
 * or by what a sentence says in place of one. What tonight or the plan decides is nobody's to train.
 */
function gateDrilled(p: Library): Found[] {
  const asked = new Set(p.stages.flatMap((s) => s.gates.map((g) => g.check)))
  return p.checks
    .filter((c) => c.life === 'standing' && asked.has(c.id) && c.noDrill === undefined)
    .flatMap((check): Found[] => {
      const drills = drillsFor(p, check.id)
      if (drills.length === 0) return [{ at: check.id, detail: 'no drill, and no sentence in place of one' }]
      const isSided = drills.some((d) => d.dose.perSide || /altern|side|way/.test(d.sides))
      return check.side === 'each' && !isSided ? [{ at: check.id, detail: 'no drill side by side' }] : []
    })
}

/** Drills named for a check: its own, else those of its capabilities, else what trains one of them well. */
function drillsFor({ checks, capabilities, drills }: Library, checkId: string): Drill[] {
  const own = capabilities.filter((c) => c.checks.includes(checkId))
  const named = [...(checks.find((c) => c.id === checkId)?.drills ?? []), ...own.flatMap((c) => c.drills)]
  return drills.filter((d) => named.includes(d.id) || own.some((c) => (d.for[c.id] ?? 0) >= 2))
}

function rungsCovered(p: Library): Found[] {
  const board = ['PU', 'FS', 'HD', 'HS', 'CR', 'SH']
  return board.flatMap((family) =>
    RUNGS.filter((rung) => !p.stages.some((s) => s.family === family && s.rung === rung)).map((rung) => ({
      at: family,
      detail: `rung ${rung} is empty`,
    })),
  )
}

function approachDefault(p: Library): Found[] {
  return p.approaches
    .filter((a) => !a.options.some((o) => o.id === a.default))
    .map((a) => ({ at: a.id, detail: `${a.default} is no option` }))
}

function cautionEffect(p: Library): Found[] {
  return p.cautions
    .filter(
      (c) => (c.tags.length === 0 && !c.noTags) || (c.recheck === 'days' && c.recheckDays === undefined),
    )
    .map((c) => ({ at: c.id, detail: 'no effect, or no time to ask again' }))
}

function setupDriven(p: Library): Found[] {
  return p.setups
    .filter((s) => s.drives.length === 0 && !s.noDrive)
    .map((s) => ({ at: s.id, detail: 'nothing places it and no reason why' }))
}
