/** Goes to a page from the start: nothing that this tab held for whoever was here before is left. */
export function goAnew(path: string): void {
  window.location.assign(path)
}
