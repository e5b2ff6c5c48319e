/** A class shorter or longer than this is refused, min. */
export const CLASS_MINUTES = { min: 20, max: 120 } as const
