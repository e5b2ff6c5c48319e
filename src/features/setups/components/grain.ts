/** Grain of a handle that is dragged: the drawing follows the finger closer than keys need to. */
export const GRAIN = { cm: 0.5, deg: 1, share: 0.01, choice: 1 } as const

/** What one step of a slider or arrow key moves, by unit. */
export const STEP = { cm: 0.5, deg: 5, share: 0.05, choice: 1 } as const
