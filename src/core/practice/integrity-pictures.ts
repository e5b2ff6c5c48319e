import { POSITIONS } from '../mechanics/positions/catalogue'
import type { Flaw } from './integrity'
import type { Library } from './library'

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
