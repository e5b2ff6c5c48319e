/** What a page that is not ready yet does with presses: it holds them, and they are carried out once it listens. */
export type EarlyPresses = { readonly letGo: () => void }

declare global {
  interface Window {
    earlyPresses?: EarlyPresses
  }
}

/**
 * Runs in the page before anything else of it does, so it stands alone: it is sent as its own text. Until the page's
 * scripts are there a button does nothing when it is pressed, and on a slow machine somebody presses in that time. Links
 * and forms that the browser itself follows are left to it.
 */
export function holdPresses(): void {
  const held = new Set<HTMLElement>()
  const onPress = (event: MouseEvent): void => {
    const pressed = event.target instanceof Element ? event.target : null
    const button = pressed?.closest('button')
    const box = pressed?.closest('label')?.control ?? pressed
    const own =
      button ?? (box instanceof HTMLInputElement && /^(checkbox|radio)$/.test(box.type) ? box : null)
    if (!own) return
    if (own.type === 'submit' && own.form?.getAttribute('action')?.startsWith('/')) return
    event.preventDefault()
    event.stopImmediatePropagation()
    held.add(own)
    document.documentElement.setAttribute('data-held', '')
  }
  document.addEventListener('click', onPress, true)
  window.earlyPresses = {
    letGo: () => {
      document.removeEventListener('click', onPress, true)
      document.documentElement.removeAttribute('data-held')
      for (const own of held) if (own.isConnected) own.click()
      held.clear()
    },
  }
}
