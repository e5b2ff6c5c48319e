/** What class work of each level (0 to 3) asks of a joint, as a share of fresh capacity: docs/method/planning.md. */
export const WORK_INTENSITY = [0, 0.05, 0.1, 0.2] as const

/** Waiting is kneeling, priming and holding props: recovery so many times that at work, not the fifteen of lying down. */
export const WAITING_RECOVERY = 3

/** Share of fatigued arms above which nobody tries anything. */
export const SPENT_SHARE = 0.3
