import { POSITIONS } from '../mechanics/positions/catalogue'
import type { Flaw } from './integrity'
import type { Library } from './library'
import { RUNGS } from './schema'

/** Every stage, drill, warm-up, counterpose and way out has its picture or says that it is words only. */
export function pictured(p: Library): Omit<Flaw, 'rule'>[] {
  const known = new Set([...p.shapes.map(({ id }) => id), ...POSITIONS.map(({ id }) => id)])
  const named = new Set(p.pictures.map(({ of }) => of))
  const things = [p.stages, p.drills, p.warmups, p.counterposes, p.exits].flatMap((list) =>
    list.map(({ id }) => id),
  )
  return [
    ...things.filter((id) => !named.has(id)).map((at) => ({ at, detail: 'no picture' })),
    ...p.pictures.flatMap(({ of, shape }) => [
      ...(things.includes(of) ? [] : [{ at: of, detail: 'a picture of nothing' }]),
      ...(shape === null || known.has(shape) ? [] : [{ at: of, detail: `${shape} is no shape` }]),
    ]),
  ]
}

/** Whoever is placed by eye is placed on the rung that was pointed at, in that family. */
export function byEyeFits(p: Library): Omit<Flaw, 'rule'>[] {
  return p.byEye.flatMap(({ family, stages }) =>
    stages.flatMap((id, i) => {
      const stage = p.stages.find((s) => s.id === id)
      const fits = stage?.family === family && stage.rung === RUNGS[i]
      return fits ? [] : [{ at: id, detail: `is not on rung ${RUNGS[i] ?? '?'} of ${family}` }]
    }),
  )
}

/** What a class uses is there: to settle, wait and stay with, what a warm-up must contain, what stands in for what. */
export function classUseFits(p: Library): Omit<Flaw, 'rule'>[] {
  const known = new Set([...p.stages, ...p.drills, ...p.counterposes].map((x) => x.id))
  const missing = p.classUse.flatMap(({ use, of }) =>
    of.filter((id) => !known.has(id)).map((id) => ({ at: use, detail: `names ${id}, which is not there` })),
  )
  const waits = p.classUse.flatMap(({ use, of }) => (use === 'wait' ? of : []))
  const drills = new Set(p.drills.map((d) => d.id))
  const must = p.warmups.flatMap(({ id, must: groups, drills: own }) =>
    groups
      .flatMap((g) => g.from)
      .filter((drill) => !own.includes(drill))
      .map((drill) => ({ at: id, detail: `must contain ${drill}, which it does not list` })),
  )
  const instead = p.counterposes.flatMap(({ id, instead: of }) =>
    of === undefined || known.has(of) ? [] : [{ at: id, detail: `stands in for ${of}, which is not there` }],
  )
  return [
    ...missing,
    ...must,
    ...instead,
    ...waits.filter((id) => !drills.has(id)).map((id) => ({ at: id, detail: 'is no drill to wait with' })),
  ]
}
