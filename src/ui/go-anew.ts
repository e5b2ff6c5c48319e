/** Goes to a page from the start: nothing that this tab held for whoever was here before is left. */
export function goAnew(path: string): void {
  window.location.assign(path)
}

/** The sign-in page once more, from the start: whoever is in now is led on to what they asked for. */
export function goOn(): void {
  window.location.assign(window.location.pathname + window.location.search)
}
