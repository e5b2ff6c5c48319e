/** Said where sealing needs a key and there is none. */
export const NO_KEY = 'The key of the health notes is missing or broken, so nothing can be added to them.'
