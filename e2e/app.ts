import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import net from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'

export const DAY = '2026-03-10'

/** The built app on its own data folder and port; can be killed and started again on the same data. */
export class App {
  private child: ChildProcess | undefined
  /** Everything the server has printed. */
  log = ''
  private constructor(
    readonly data: string,
    readonly port: number,
    /** What the server is told besides. */
    private readonly env: Readonly<Record<string, string>> = {},
  ) {}

  get address(): string {
    return `http://127.0.0.1:${this.port}`
  }

  /** A fresh data folder, empty or with the demo world in it. */
  static async start({ demo, env = {} }: { demo: boolean; env?: Record<string, string> }): Promise<App> {
    const data = mkdtempSync(path.join(tmpdir(), 'levitar-e2e-'))
    const { E2E_DEMO } = process.env
    if (demo && E2E_DEMO) cpSync(E2E_DEMO, data, { recursive: true })
    const app = new App(data, await freePort(), env)
    await app.up()
    return app
  }

  /** @param day the day that the server takes for today, where it is not the usual */
  async up(day = DAY): Promise<void> {
    const next = path.join('node_modules', 'next', 'dist', 'bin', 'next')
    this.child = spawn(
      process.execPath,
      [next, 'start', '--hostname', '127.0.0.1', '--port', String(this.port), '--keepAliveTimeout', '65000'],
      {
        env: {
          ...process.env,
          ...this.env,
          LEVITAR_DATA: this.data,
          LEVITAR_NOW: `${day}T17:00:00Z`,
          NODE_ENV: 'production',
          NEXT_TELEMETRY_DISABLED: '1',
        },
        stdio: ['ignore', 'pipe', 'pipe'],
      },
    )
    for (const stream of [this.child.stdout, this.child.stderr])
      stream?.on('data', (chunk: Buffer) => (this.log += chunk.toString()))
    for (let tries = 0; tries < 150; tries += 1) {
      try {
        // A socket left over from a killed server may never answer.
        if ((await fetch(this.address, { signal: AbortSignal.timeout(3000) })).ok) return
      } catch {
        // not up yet
      }
      await new Promise((resolve) => setTimeout(resolve, 200))
    }
    await this.kill()
    throw new Error('the app did not answer')
  }

  /** Ends the process at once, as a power cut would. */
  async kill(): Promise<void> {
    const { child } = this
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
  }

  /** The same data on another day. */
  async onDay(day: string): Promise<void> {
    await this.kill()
    await this.up(day)
  }

  async end(): Promise<void> {
    await this.kill()
    rmSync(this.data, { recursive: true, force: true })
  }
}

export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = net.createServer()
    server.listen(0, '127.0.0.1', () => {
      const address = server.address()
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0))
    })
  })
}

/** Goes on in a class that runs until a block is on. */
export async function toBlock(page: Page, title: string | RegExp): Promise<void> {
  // The headings of before the class are none of its blocks.
  await expect(page.getByRole('timer')).toBeVisible()
  const now = page.getByRole('heading', { level: 2, name: title, exact: true })
  for (let n = 0; n < 16 && !(await now.isVisible()); n += 1) {
    const shown = await page.getByRole('heading', { level: 2 }).first().textContent()
    await page.getByRole('button', { name: /^Next: / }).click()
    await expect(page.getByRole('heading', { level: 2 }).first()).not.toHaveText(shown ?? '')
  }
  await expect(now).toBeVisible()
}

/** Gives a passed-round tablet back to the teacher: a press that is held. */
export async function giveBack(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Back to the teacher' }).click({ delay: 1500 })
  await expect(page).toHaveURL(/\/door$/)
}

/** Waits until a page that was opened anew listens: a press before that does nothing. */
export async function listening(page: Page): Promise<void> {
  await page.waitForFunction(() => {
    const [button] = document.querySelectorAll('main button')
    return button !== undefined && Object.keys(button).some((key) => key.startsWith('__reactProps'))
  })
}

/** Waits until nothing that was tapped here is still on its way. */
export async function allSent(page: Page): Promise<void> {
  await expect(page.locator('[data-waiting]')).toHaveAttribute('data-waiting', '0', { timeout: 40_000 })
}
