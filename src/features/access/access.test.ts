import { TOTP, Secret } from 'otpauth'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'
import { CookieJar } from '@/testing/cookies'

const mockJar = new CookieJar()
const mockHeaders = new Map([['x-levitar-home', '1']])
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(mockHeaders),
  cookies: () => Promise.resolve(mockJar),
}))

const DAY = '2026-03-10'
const NOW = Date.parse(`${DAY}T17:00:00Z`)
ownData('access', DAY)
const { stamp } = ownDevice(77, DAY)

const load = async () => ({
  actions: await import('./actions'),
  signIn: await import('./sign-in-actions'),
  queries: await import('./queries'),
  who: await import('../who'),
  studio: await import('../studio/actions'),
  layer: await import('../health/layer-actions'),
  facts: await import('../facts/actions'),
  students: await import('../students/actions'),
  receive: await import('../facts/receive'),
  codes: await import('@/db/access-code'),
  signIns: await import('@/db/sign-ins'),
  trail: await import('@/db/trail'),
  open: await import('@/db/open'),
})
let app: Awaited<ReturnType<typeof load>>
let people: readonly { readonly id: string; readonly name: string }[] = []
beforeAll(async () => {
  app = await load()
  people = (await seedWorld(DAY)).students
})

const COOKIE = 'levitar.sign-in'
const PASSWORD = 'seven plovers'
const here = async () => (await app.who.whoHere()).actor
const enter = (login: string, password = PASSWORD, code = '') => app.signIn.signIn({ login, password, code })
/** Signed in as somebody, and whoever was there before is back afterwards. */
async function as<T>(login: string, work: () => Promise<T>): Promise<T> {
  const before = mockJar.get(COOKIE)?.value ?? ''
  value(await enter(login))
  try {
    return await work()
  } finally {
    mockJar.set(COOKIE, before)
  }
}
const make = (login: string, role: 'assistant' | 'teacher' | 'owner') =>
  app.actions.makeAccount({ name: login.toUpperCase(), login, password: PASSWORD, role })
const told = async () => (await screen()).scope
const lastOf = async (what: string) => app.trail.trailLines(await told(), 300).find((l) => l.what === what)

describe('before anybody has an account', () => {
  it('this machine alone comes in, and over the network nobody', async () => {
    expect((await here()).role).toBe('owner')
    mockHeaders.set('x-levitar-home', '0')
    expect((await here()).role).toBe('nobody')
    expect(refusedAt(await app.studio.setUnits('in'))).toEqual([''])
    mockHeaders.set('x-levitar-home', '1')
  })
  it('the first account is the owner’s, and from then on everybody signs in', async () => {
    expect(refusedAt(await make('tam', 'teacher'))).toEqual(['role'])
    expect(refusedAt(await app.actions.makeTabletCode({ label: 'Block' }))).toEqual([''])
    value(await make('olm', 'owner'))
    expect(await here()).toMatchObject({ role: 'owner', name: 'OLM' })
    mockJar.delete(COOKIE)
    expect((await here()).role).toBe('nobody')
    value(await enter('OLM '))
    for (const role of ['teacher', 'assistant'] as const) value(await make(role, role))
    expect(refusedAt(await make('Teacher', 'teacher'))).toEqual(['login'])
    expect(
      refusedAt(
        await app.actions.makeAccount({ name: '', login: 'a b', password: 'short', role: 'teacher' }),
      ),
    ).toEqual(['name', 'login', 'password'])
  })
})

describe('what a role may do', () => {
  it('an assistant records what is seen, and neither judges nor opens what is private', async () => {
    await as('assistant', async () => {
      const studentId = people[0]!.id
      const note = { ...stamp(), kind: 'note' as const, studentId, classId: null, text: 'steady today' }
      value(await app.facts.recordFact(note))
      const placed = {
        ...stamp(),
        kind: 'placement' as const,
        studentId,
        family: 'FS' as const,
        stageId: null,
      }
      expect(refusedAt(await app.facts.recordFact(placed))).toEqual([''])
      expect(refusedAt(await app.layer.openLayer(''))).toEqual([''])
      expect((await app.who.whoHere()).privacy.notesOpen).toBe(false)
      expect(refusedAt(await app.students.erase({ id: studentId } as never))).toEqual([''])
      expect(refusedAt(await app.actions.setRole({ id: studentId, role: 'owner' }))).toEqual([''])
    })
  })
  it('a layer that was open on this screen is shut for whoever signs in after', async () => {
    const notesOpen = async () => (await app.who.whoHere()).privacy.notesOpen
    value(await app.layer.openLayer(''))
    expect(await notesOpen()).toBe(true)
    const owner = mockJar.get(COOKIE)!.value
    await as('assistant', async () => {
      expect(await notesOpen()).toBe(false)
      // Even with a mark that is open for the owner still.
      const assistant = mockJar.get(COOKIE)!.value
      mockJar.set(COOKIE, owner)
      value(await app.layer.openLayer(''))
      expect(await notesOpen()).toBe(true)
      mockJar.set(COOKIE, assistant)
      expect(await notesOpen()).toBe(false)
    })
  })
  it('a teacher opens the notes and is written down for it; accounts are not theirs', async () => {
    await as('teacher', async () => {
      value(await app.layer.openLayer(''))
      expect(await lastOf('notes-opened')).toMatchObject({ name: 'TEACHER' })
      expect(refusedAt(await make('other', 'teacher'))).toEqual([''])
    })
  })
  it('an account that ended opens nothing, on any screen', async () => {
    value(await make('guest', 'teacher'))
    const { saveAccount, accountByLogin } = await import('@/db/accounts')
    const scope = await told()
    const { id } = accountByLogin(scope, 'guest')!
    await as('guest', async () => {
      expect((await here()).role).toBe('teacher')
      saveAccount(scope, id, { ended: true })
      expect((await here()).role).toBe('nobody')
      saveAccount(scope, id, { ended: false })
    })
    value(await app.actions.endAccount({ id }))
    expect(refusedAt(await enter('guest'))).toEqual([''])
  })
  it('one owner always stays', async () => {
    const [owner] = app.queries.accessView(await screen()).accounts.filter((a) => a.role === 'owner')
    expect(refusedAt(await app.actions.setRole({ id: owner!.id, role: 'teacher' }))).toEqual([''])
    expect(refusedAt(await app.actions.endAccount({ id: owner!.id }))).toEqual([''])
  })
})

describe('a tablet', () => {
  const pair = async () => {
    const { code } = value(await app.actions.makeTabletCode({ label: 'Block' }))
    mockJar.delete(COOKIE)
    return code
  }
  it('comes in by a code, once, and does the floor’s work only', async () => {
    const code = await pair()
    expect(refusedAt(await app.signIn.pairTablet({ code: 'zzzz zzzz' }))).toEqual(['code'])
    value(await app.signIn.pairTablet({ code: code.toUpperCase() }))
    expect(await here()).toMatchObject({ role: 'device', name: 'Block' })
    expect(refusedAt(await app.studio.setUnits('in'))).toEqual([''])
    const note = { ...stamp(), kind: 'note', studentId: null, classId: null, text: 'two more came' }
    expect(app.receive.receive({ facts: [note] }, await app.who.whoHere())?.answers[0]?.state).toBe('stored')
    const lock = { ...stamp(), kind: 'placement', studentId: people[0]!.id, family: 'FS', stageId: null }
    expect(app.receive.receive({ facts: [lock] }, await app.who.whoHere())?.answers[0]?.state).toBe('refused')
    mockJar.delete(COOKIE)
    expect(refusedAt(await app.signIn.pairTablet({ code }))).toEqual(['code'])
    value(await enter('olm'))
  })
  it('is out as soon as the owner ends it', async () => {
    const code = await pair()
    value(await app.signIn.pairTablet({ code }))
    const tablet = mockJar.get(COOKIE)!.value
    value(await enter('olm'))
    const line = app.queries.accessView(await screen()).signIns.find((s) => s.isTablet && s.label === 'Block')
    const lines = app.queries.accessView(await screen()).signIns.filter((s) => s.isTablet)
    for (const { key } of lines) value(await app.actions.endOne({ key }))
    expect(line).toBeDefined()
    const mine = mockJar.get(COOKIE)!.value
    mockJar.set(COOKIE, tablet)
    expect((await here()).role).toBe('nobody')
    mockJar.set(COOKIE, mine)
  })
})

describe('a locked screen', () => {
  it('goes on with the floor’s work, keeps judgements waiting, and opens by the password', async () => {
    value(await app.signIn.lockScreen())
    expect(await here()).toMatchObject({ role: 'device', locked: true })
    expect(refusedAt(await app.studio.setUnits('in'))).toEqual([''])
    const placed = { ...stamp(), kind: 'placement', studentId: people[0]!.id, family: 'FS', stageId: null }
    const send = async () =>
      app.receive.receive({ facts: [placed] }, await app.who.whoHere())?.answers[0]?.state
    expect(await send()).toBe('again')
    expect(refusedAt(await app.signIn.unlockScreen({ password: 'not it at all' }))).toEqual(['password'])
    value(await app.signIn.unlockScreen({ password: PASSWORD }))
    expect((await here()).locked).toBe(false)
    expect(await send()).toBe('stored')
  })
})

describe('the second factor', () => {
  const codeAt = (seed: string, ms: number) =>
    new TOTP({ secret: Secret.fromBase32(seed) }).generate({ timestamp: ms })
  it('is asked for after the password; a code opens once, a printed one too', async () => {
    const { seed, svg } = value(await app.actions.offerSecondFactor(null))
    expect(svg).toMatch(/^<svg/)
    expect(refusedAt(await app.actions.setSecondFactor({ seed, code: '000000' }))).toEqual(['code'])
    const { codes } = value(await app.actions.setSecondFactor({ seed, code: codeAt(seed, NOW) }))
    expect(new Set(codes).size).toBe(10)
    expect(refusedAt(await enter('olm'))).toEqual(['code'])
    expect(refusedAt(await enter('olm', 'wrong password', codes[0]))).toEqual([''])
    // The code that set it is used; the next one is good.
    expect(refusedAt(await enter('olm', PASSWORD, codeAt(seed, NOW)))).toEqual(['code'])
    value(await enter('olm', PASSWORD, codeAt(seed, NOW + 30_000)))
    value(await enter('olm', PASSWORD, codes[0]))
    expect(refusedAt(await enter('olm', PASSWORD, codes[0]))).toEqual(['code'])
    value(await enter('olm', PASSWORD, codes[1]))
  })
})

describe('guesses', () => {
  it('at one name wait longer and longer, and hold up no other name', async () => {
    for (let n = 0; n < 3; n += 1) await enter('assistant', 'wrong again')
    const answer = await enter('assistant')
    expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(/Wait 1 second/)
    value(await enter('teacher'))
  })
})

describe('the way back in', () => {
  it('is a code from the machine: the owner’s password is new, their second factor and sign-ins end', async () => {
    const scope = await told()
    const code = app.codes.newCode(12)
    const other = mockJar.get(COOKIE)!.value
    const late = { codeHash: app.codes.codeHash('late'), role: 'owner' as const, label: '', expiresMs: NOW }
    app.signIns.addCode(scope, late)
    app.signIns.addCode(scope, {
      ...{ codeHash: app.codes.codeHash(code), role: 'owner', label: 'machine', expiresMs: NOW + 1 },
    })
    mockJar.delete(COOKIE)
    const typed = { code, name: 'Olm', login: 'olm', password: 'nine plovers now' }
    expect(refusedAt(await app.signIn.ownerByCode({ ...typed, code: 'late' }))).toEqual(['code'])
    value(await app.signIn.ownerByCode({ ...typed, code: app.codes.inFours(code) }))
    expect(await here()).toMatchObject({ role: 'owner', name: 'OLM' })
    expect(refusedAt(await app.signIn.ownerByCode(typed))).toEqual(['code'])
    value(await enter('olm', 'nine plovers now'))
    expect(refusedAt(await enter('olm'))).toEqual([''])
    mockJar.set(COOKIE, other)
    value(await enter('olm', 'nine plovers now'))
  })
  it('another password ends every other sign-in of the account', async () => {
    const before = mockJar.get(COOKIE)!.value
    value(await enter('olm', 'nine plovers now'))
    const typed = { old: 'nine plovers now', fresh: PASSWORD, again: PASSWORD }
    expect(refusedAt(await app.signIn.changePassword({ ...typed, old: 'no' }))).toEqual(['old'])
    value(await app.signIn.changePassword(typed))
    expect((await here()).role).toBe('owner')
    mockJar.set(COOKIE, before)
    expect((await here()).role).toBe('nobody')
    value(await enter('olm'))
  })
})

describe('the trail', () => {
  it('is added to and never changed, not even by the hand that writes it', async () => {
    const scope = await told()
    const [line] = app.trail.trailLines(scope, 1)
    const raw = (app.open.sharedDb() as unknown as { $client: { exec: (sql: string) => void } }).$client
    for (const sql of [
      `delete from trail`,
      `update trail set name = 'nobody'`,
      `update trail set what = 'signed-in', student_id = null`,
      `update trail set student_id = 'x'`,
    ])
      expect(() => raw.exec(sql)).toThrow(/append-only/)
    expect(app.trail.trailLines(scope, 1)).toEqual([line])
  })
  it('tells who and what, and after an erasure no longer about whom', async () => {
    const { id } = people.at(-1)!
    const { tell } = await import('../tell')
    const ctx = await screen()
    tell(ctx, { what: 'answers-read', studentId: id })
    expect(app.queries.trailOf(ctx, id).map((l) => l.text)).toEqual(['this machine read health answers'])
    const { eraseStudent } = await import('@/db/erase')
    eraseStudent(ctx.scope, ctx.health.key, id, 'nobody')
    expect(app.queries.trailOf(ctx, id)).toEqual([])
    expect(await lastOf('answers-read')).toMatchObject({ studentId: null })
  })
  it('keeps no name that was typed at the door and is nobody’s', async () => {
    await enter('my-password-by-mistake', 'x')
    const lines = app.trail.trailLines(await told(), 300)
    expect(JSON.stringify(lines)).not.toContain('mistake')
    expect(lines.some((l) => l.what === 'sign-in-refused' && l.name === 'ASSISTANT')).toBe(true)
  })
})

describe('who guesses', () => {
  it('is counted before it is judged: of sixty at once three are', async () => {
    value(await make('swift', 'teacher'))
    const answers = await Promise.all(Array.from({ length: 60 }, (_, n) => enter('swift', `wrong ${n}`)))
    const told = answers.map((a) => (a.ok ? '' : (a.problems[0]?.message ?? '')))
    expect(told.filter((t) => /do not fit/.test(t))).toHaveLength(3)
    expect(told.filter((t) => /^Too many wrong guesses/.test(t))).toHaveLength(57)
  })
  it('holds nobody’s own browser shut, and no forged mark opens a door of its own', async () => {
    const KNOWN = 'levitar.known'
    value(await make('heron', 'owner'))
    await as('heron', () => Promise.resolve())
    const own = mockJar.get(KNOWN)?.value ?? ''
    expect(own).not.toBe('')
    mockJar.set(KNOWN, '')
    const { guessed } = await import('../guesses')
    for (let n = 0; n < 9; n += 1) guessed('sign-in:heron', false)
    const stranger = await enter('heron')
    expect(stranger.ok ? '' : stranger.problems[0]?.message).toMatch(/^Too many wrong guesses/)
    mockJar.set(KNOWN, `forged.${own.split('.')[1] ?? ''}`)
    expect((await enter('heron')).ok).toBe(false)
    mockJar.set(KNOWN, own)
    await as('heron', () => Promise.resolve())
    mockJar.set(KNOWN, '')
  })
  it('holds nobody up who was given a code', async () => {
    for (let n = 0; n < 5; n += 1) expect((await app.signIn.pairTablet({ code: `nope${n}` })).ok).toBe(false)
    const before = mockJar.get(COOKIE)?.value ?? ''
    const code = app.codes.newCode(8)
    const { addCode } = app.signIns
    addCode(await told(), {
      codeHash: app.codes.codeHash(code),
      role: 'device',
      label: 'x',
      expiresMs: NOW + 60_000,
    })
    value(await app.signIn.pairTablet({ code }))
    mockJar.set(COOKIE, before)
  })
})

describe('a tablet that is handed over', () => {
  const PASS = 'levitar.pass'
  it('is held at a class that is there, by whoever hands it over; at no other, and not by a link', async () => {
    const { findClass, nextClass } = await import('@/db/classes')
    const scope = await told()
    const id = nextClass(scope, DAY)?.id ?? ''
    const gone = '00000000-0000-7000-8000-000000000000'
    expect((await app.layer.beginPass({ classId: gone, ask: 'check-in' })).ok).toBe(false)
    expect(mockJar.get(PASS)?.value ?? '').toBe('')
    expect(value(await app.layer.beginPass({ classId: id, ask: 'health' }))).toBe(`/pass/${id}?ask=health`)
    expect(value(await app.layer.endEmptyPass())).toBe(false)
    expect(mockJar.get(PASS)?.value).toBe(`/pass/${id}?ask=health`)
    expect((await app.layer.beginPass({ classId: id, ask: 'check-in' })).ok).toBe(false)
    // The class went with a backup that was put back: the tablet lets go by itself.
    mockJar.set(PASS, `/pass/${gone}`)
    expect(findClass(scope, gone)).toBeNull()
    value(await app.layer.endEmptyPass())
    expect(mockJar.get(PASS)?.value ?? '').toBe('')
  })
  it('whose sign-in has ended is signed in again, and is its teacher’s then', async () => {
    mockJar.set(PASS, '/pass/00000000-0000-7000-8000-000000000000')
    const before = mockJar.get(COOKIE)?.value ?? ''
    const refused = await enter('heron')
    expect(refused.ok).toBe(false)
    mockJar.set(COOKIE, '')
    const { guessed } = await import('../guesses')
    guessed('sign-in:heron', true)
    value(await enter('heron'))
    expect(mockJar.get(PASS)?.value ?? '').toBe('')
    mockJar.set(COOKIE, before)
  })
})
