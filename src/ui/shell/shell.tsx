'use client'

import {
  ActionIcon,
  AppShell,
  Burger,
  Group,
  Text,
  useComputedColorScheme,
  useMantineColorScheme,
} from '@mantine/core'
import { useMounted, useDisclosure, useHotkeys } from '@mantine/hooks'
import {
  IconEye,
  IconEyeOff,
  IconKeyboard,
  IconMoon,
  IconSearch,
  IconSun,
  IconUserCircle,
} from '@tabler/icons-react'
import dynamic from 'next/dynamic'
import { Link } from '@/ui/link'
import { usePathname, useRouter } from 'next/navigation'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { PlumbMark } from '../plumb-mark'
import type { Kind } from '@/core/library/entries'
import { RAIL } from './rail'
import classes from './shell.module.css'

const ShortcutSheet = dynamic(() => import('./shortcut-sheet').then((m) => m.ShortcutSheet), { ssr: false })
const Palette = dynamic(() => import('./palette').then((m) => m.Palette), { ssr: false })

/** Used standing or kneeling: the rail makes room for the work and comes back by its button. */
const FLOOR = /^\/(?:teach\/[^/]+(?:$|\/door|\/board)|readiness\/round\/[^/]+$)/

/** Something to go to; what is of the practice has its kind and its other names. */
export type PaletteEntry = {
  readonly label: string
  readonly description: string
  readonly href: string
  readonly kind?: Kind
  readonly also?: string
}

/** Rail, palette and shortcuts round every page. */
export function Shell({
  studioName,
  findEntries,
  unitSwitch,
  floorLog,
  isPrivate,
  onPrivate,
  open,
  account,
  children,
}: {
  studioName: string
  /** People and classes, asked for when the palette is opened first. */
  findEntries: (none: null) => Promise<{ ok: true; value: readonly PaletteEntry[] } | { ok: false }>
  unitSwitch: ReactNode
  /** What was tapped on this device and is not stored yet; it also sends it. */
  floorLog: ReactNode
  /** Whether the words of limits are hidden on this screen. */
  isPrivate: boolean
  /** Hides them, and shuts the health notes, or shows them again. */
  onPrivate: (hide: boolean) => Promise<unknown>
  /** Which parts of the work are open to whoever is signed in. */
  open: readonly string[]
  /** Who is signed in, in a few words. */
  account: string
  children: ReactNode
}) {
  const [opened, { toggle, close }] = useDisclosure()
  const [sheet, sheetControl] = useDisclosure()
  const router = useRouter()
  const path = usePathname()
  const onFloor = FLOOR.test(path)
  useGoKeys(router)
  useHotkeys([
    ['mod+K', () => openPalette()],
    ['shift+?', () => sheetControl.open()],
    ['?', () => sheetControl.open()],
    ['p', () => void togglePrivate()],
  ])
  const togglePrivate = async (): Promise<void> => {
    await onPrivate(!isPrivate)
  }
  const [entries, setEntries] = useState<readonly PaletteEntry[]>([])
  /** How often the palette was asked for; it comes with its library the first time. */
  const [asked, setAsked] = useState(0)
  const openPalette = (): void => {
    setAsked((n) => n + 1)
    findEntries(null).then(
      (found) => found.ok && setEntries(found.value),
      () => undefined,
    )
  }
  const rail = RAIL.filter(({ href }) => open.includes(href))
  const pages = [
    ...rail.map(({ label, question, href }) => ({ label, description: question, href })),
    { label: 'Help', description: 'What does that mean?', href: '/help' },
  ]
  return (
    <AppShell
      header={{ height: 56 }}
      navbar={{ width: 196, breakpoint: 'sm', collapsed: { mobile: !opened, desktop: onFloor && !opened } }}
      padding={{ base: 'sm', sm: onFloor ? 'md' : 'xl' }}
      styles={{ header: { background: 'var(--paper)' }, navbar: { background: 'var(--paper)' } }}
    >
      <a className="skip" href="#content">
        Skip to the page
      </a>
      <AppShell.Header px="md">
        <Group h="100%" justify="space-between" wrap="nowrap">
          <Group gap="xs" wrap="nowrap">
            <Burger
              opened={opened}
              onClick={toggle}
              {...(onFloor ? {} : { hiddenFrom: 'sm' })}
              aria-label={opened ? 'Close the menu' : 'Open the menu'}
            />
            <PlumbMark />
            <Text fw={650} fz="xl" visibleFrom="xs">
              Levitar
            </Text>
            <Text c="dimmed" visibleFrom="sm" ml="md" truncate>
              {studioName}
            </Text>
          </Group>
          <Group gap="xs" wrap="nowrap">
            {unitSwitch}
            <ActionIcon
              size={44}
              variant="subtle"
              color="slate.8"
              aria-label="Find a page or a person"
              onClick={openPalette}
              c="var(--ink)"
            >
              <IconSearch />
            </ActionIcon>
            <ActionIcon
              size={44}
              variant="subtle"
              aria-label="Private: hide health limits on this screen"
              aria-pressed={isPrivate}
              onClick={() => void togglePrivate()}
              c="var(--ink)"
            >
              {isPrivate ? <IconEyeOff /> : <IconEye />}
            </ActionIcon>
            <ActionIcon
              size={44}
              variant="subtle"
              aria-label="Keys you can press"
              onClick={sheetControl.open}
              visibleFrom="sm"
              c="var(--ink)"
            >
              <IconKeyboard />
            </ActionIcon>
            <SchemeSwitch />
            <AccountLink account={account} />
          </Group>
        </Group>
      </AppShell.Header>
      <AppShell.Navbar p="xs" aria-label="Parts of the work">
        {rail.map(({ href, label, icon: Icon }) => {
          const active = href === '/' ? path === '/' : path.startsWith(href)
          return (
            <Link
              key={href}
              href={href}
              className={href === '/library' ? `${classes.part} ${classes.apart}` : classes.part}
              aria-current={active ? 'page' : undefined}
              onClick={close}
            >
              <Icon size={20} aria-hidden />
              {label}
            </Link>
          )
        })}
      </AppShell.Navbar>
      {/* The page ends above what is said at the foot of the screen. */}
      <AppShell.Main id="content" tabIndex={-1} pb="calc(var(--app-shell-padding) + 72px)">
        {children}
        {floorLog}
      </AppShell.Main>
      {asked > 0 ? (
        <Palette entries={[...pages, ...entries]} asked={asked} onGo={(href) => router.push(href)} />
      ) : null}
      {sheet ? <ShortcutSheet onClose={sheetControl.close} /> : null}
    </AppShell>
  )
}

function AccountLink({ account }: { account: string }) {
  return (
    <ActionIcon
      component={Link}
      href="/account"
      size={44}
      variant="subtle"
      aria-label={account}
      c="var(--ink)"
    >
      <IconUserCircle />
    </ActionIcon>
  )
}

function SchemeSwitch() {
  const { setColorScheme } = useMantineColorScheme()
  const computed = useComputedColorScheme('light', { getInitialValueInEffect: true })
  // The server cannot know the scheme this device keeps: what it drew stands until the page is alive.
  const scheme = useMounted() ? computed : 'light'
  const next = scheme === 'dark' ? 'light' : 'dark'
  return (
    <ActionIcon
      size={44}
      variant="subtle"
      c="var(--ink)"
      aria-label={`Switch to the ${next} scheme`}
      onClick={() => setColorScheme(next)}
    >
      {scheme === 'dark' ? <IconSun /> : <IconMoon />}
    </ActionIcon>
  )
}

/** `g` and then a letter goes to a page. */
function useGoKeys(router: ReturnType<typeof useRouter>): void {
  const armedAt = useRef(-Infinity)
  useEffect(() => {
    const WINDOW_MS = 1200
    const onKey = (event: KeyboardEvent): void => {
      const target = event.target as HTMLElement | null
      if (
        event.metaKey ||
        event.ctrlKey ||
        event.altKey ||
        target?.closest('input, textarea, select, [contenteditable=true]')
      )
        return
      if (event.key === 'g') {
        armedAt.current = event.timeStamp
        return
      }
      const page = RAIL.find((item) => item.key === event.key)
      if (page && event.timeStamp - armedAt.current < WINDOW_MS) router.push(page.href)
      armedAt.current = -Infinity
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [router])
}
