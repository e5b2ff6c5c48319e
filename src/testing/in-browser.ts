import { configure } from '@testing-library/react'

/** What jsdom lacks and Mantine asks for; a busy machine is given its time. */
export function inBrowser(): void {
  configure({ asyncUtilTimeout: 20_000 })
  window.matchMedia = (media) =>
    ({ media, matches: false, addEventListener: jest.fn(), removeEventListener: jest.fn() }) as never
  Object.assign(globalThis, {
    ResizeObserver: class {
      observe = jest.fn()
      unobserve = jest.fn()
      disconnect = jest.fn()
    },
    structuredClone: (value: unknown): unknown => JSON.parse(JSON.stringify(value)),
  })
  Element.prototype.scrollIntoView = jest.fn()
}
