import type { Library } from './library'

type Found = { readonly at: string; readonly detail: string }

/** More or less support is another setup, never the same. */
export function supportDiffers(p: Library): Found[] {
  return p.setups
    .filter(({ id, more, less }) => more.includes(id) || less.includes(id))
    .map(({ id }) => ({ at: id, detail: 'offers itself as more or less support' }))
}

/** Shapes that load nothing of what a limit speaks of, and can be changed as anybody likes. */
const UNLOADED: ReadonlySet<string> = new Set([
  ...['dolphin-raised', 'seated-arms-forward', 'seated-arm-overhead', 'stand-arms-up', 'stand-arms-forward'],
  ...['seated-easy', 'seated-legs-lifted', 'seated-fold', 'warrior', 'cat', 'staff', 'stand-arms-level'],
])

/** What a shape loads and cannot take is known of every shape that something is drawn in, and of entries that are there. */
export function shapesKnown(p: Library): Found[] {
  const shapeOf = new Map(p.pictures.map(({ of, shape }) => [of, shape]))
  const known = new Set(p.shapeTags.map(({ shape }) => shape))
  const drawn = new Set(shapeOf.values())
  const ids = new Set([...p.stages, ...p.drills, ...p.counterposes].map(({ id }) => id))
  const told = new Set(p.changeLimits.map(({ how }) => how))
  return [
    ...[...known].filter((shape) => !drawn.has(shape)).map((at) => ({ at, detail: 'is drawn nowhere' })),
    ...p.changeLimits.flatMap(({ how, also, except }) =>
      [...also, ...except]
        .filter((id) => !ids.has(id))
        .map((id) => ({ at: how, detail: `${id} is not in the practice` })),
    ),
    ...p.cautions
      .filter(({ change }) => change?.how !== undefined && !told.has(change.how))
      .map(({ id }) => ({ at: id, detail: 'changes what nothing says can be changed so' })),
    ...[...p.stages, ...p.drills].flatMap(({ id }) => {
      const shape = shapeOf.get(id) ?? null
      return shape === null || known.has(shape) || UNLOADED.has(shape)
        ? []
        : [{ at: id, detail: 'is drawn in a shape of which nothing says what it loads' }]
    }),
  ]
}
