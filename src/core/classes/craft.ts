/** Wall turn and change-over, s (class-craft.md 8): usual, and the shortest that still works. */
export const TURN_S = { usual: 60, least: 45 } as const
export const CHANGE_S = { usual: 20, least: 15 } as const
/** Rest wanted between a person's own turns, s (class-craft.md 9). */
export const OWN_REST_S = 60
/** Variants side by side that one teacher can watch (class-craft.md 6). */
export const MOST_VERSIONS = 3
/** Warm-up takes at most about a third of the class (ruling 12). */
export const WARM_UP_SHARE = 1 / 3
/** A class shorter or longer than this is refused, min. */
export const CLASS_MINUTES = { min: 20, max: 120 } as const
