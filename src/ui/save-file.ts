/** Gives a text to the browser to keep as a file. */
export function saveFile(name: string, type: string, text: string): void {
  saveBlob(name, new Blob([text], { type }))
}

/** Gives anything to the browser to keep as a file. */
export function saveBlob(name: string, blob: Blob): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = name
  link.click()
  // The browser takes the file over at once; the address is let go a moment later.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
