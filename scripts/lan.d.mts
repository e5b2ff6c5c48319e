/** What the app has to know when others reach it. */
export function lanEnv(names: readonly string[]): Record<string, string>
/** Hands what comes over HTTPS on to the app; on the next port a page helps to trust it. */
export function startFront(asked: {
  port: number
  appPort: number
  folder: string
  names: readonly string[]
}): Promise<{ address: string; help: string; spki: string; stop: () => void }>
