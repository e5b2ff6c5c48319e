'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { usePathname, useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { pageSays } from '@/device/clock'
import { forgetPages, keepThisPage } from '@/device/floor-pages'
import { letGo, tryAgain } from '@/device/log'
import { startPump } from '@/device/pump'
import { useLog } from '@/device/use-log'
import classes from './floor-log.module.css'
import { Notice } from '@/ui/notice'

/** What waits no longer than this is on its way, ms: said at each tap, it would flicker and be read by nobody. */
const ON_ITS_WAY_MS = 2500

/** Sends what was tapped, on every page, and says what still waits or was refused. */
export function FloorLog({
  nowMs,
  timeZone,
  hidden,
}: {
  nowMs: number
  timeZone: string
  /** Whether the words of limits are hidden on this screen. */
  hidden: boolean
}) {
  useEffect(() => {
    pageSays(nowMs, timeZone)
    return startPump()
  }, [nowMs, timeZone])
  const log = useLog()
  // On a tablet that is passed round nothing of the teacher's is said.
  const path = usePathname()
  const passed = path.startsWith('/pass/')
  useEffect(() => {
    // Pages kept with the words of limits on them go the moment this screen is made private.
    void (hidden ? forgetPages() : Promise.resolve()).then(keepThisPage).catch(() => undefined)
  }, [path, hidden])
  const waiting = log.filter((entry) => entry.state === 'waiting').length
  const refused = log.filter((entry) => entry.state === 'refused')
  useRefreshOnceSent(waiting, path)
  const late = useLate(waiting > 0)
  if (passed) return null
  return (
    <Stack className={classes.strip ?? ''} gap="xs" data-waiting={waiting}>
      {waiting > 0 && late ? (
        <Text role="status" className={classes.onItsWay ?? ''}>
          {waiting === 1 ? 'One tap is' : `${waiting} taps are`} kept on this device and will be sent when the
          server answers.
        </Text>
      ) : null}
      {refused.map(({ fact, label, why }) => (
        <Notice key={fact.id} title={`Not recorded: ${label}`}>
          <Group justify="space-between">
            <Text>{why}</Text>
            <Group gap="xs">
              <Button mih={44} onClick={() => void tryAgain(fact.id)}>
                Send it again
              </Button>
              <Button variant="subtle" c="var(--ink)" mih={44} onClick={() => void letGo(fact.id)}>
                Let it go
              </Button>
            </Group>
          </Group>
        </Notice>
      ))}
    </Stack>
  )
}

/** Whether something has been waiting without a break for longer than an answer takes. */
function useLate(waits: boolean): boolean {
  const [late, setLate] = useState(false)
  useEffect(() => {
    if (!waits) return
    const timer = setTimeout(() => setLate(true), ON_ITS_WAY_MS)
    return () => {
      clearTimeout(timer)
      setLate(false)
    }
  }, [waits])
  return late
}

/** Screens of the floor fold the log themselves; any other page is drawn anew once the server has everything. */
const FOLDS_ITSELF = /^\/(teach\/[^/]+(\/door)?|readiness\/round\/[^/]+|pass\/.*)$/

function useRefreshOnceSent(waiting: number, path: string): void {
  const router = useRouter()
  const before = useRef(0)
  /** Something was sent that a page drawn since may not have yet. */
  const owed = useRef(false)
  useEffect(() => {
    if (before.current > 0 && waiting === 0) owed.current = true
    before.current = waiting
    if (!owed.current || waiting > 0 || FOLDS_ITSELF.test(path)) return
    owed.current = false
    router.refresh()
  }, [waiting, path, router])
}
