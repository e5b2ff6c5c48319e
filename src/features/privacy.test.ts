import { verdictWord } from '@/core/words/limit'
import { describeLoadFrom } from '@/core/words/load'
import { familyAsked } from './desk/families'
import { demoWorld } from '@/core/simulate/demo'
import type { Context } from './context'
import { ownData, ownDevice, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('privacy', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(91, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = world.classes.at(-1)?.id ?? ''
const SERIES = v7()
const SEQUENCE = v7()
const PLANTED = 'planted-word-plover'

const load = async () => ({
  access: await import('./access/queries'),
  series: await import('./series/queries'),
  sequences: await import('./sequences/queries'),
  mailbox: await import('./home/mailbox-queries'),
  api: await import('./api/queries'),
  approaches: await import('./approaches/queries'),
  door: await import('./door/queries'),
  groups: await import('./groups/queries'),
  health: await import('./health/queries'),
  incidents: await import('./incidents/queries'),
  library: await import('./library/queries'),
  plans: await import('./plans/queries'),
  planOne: await import('./plans/plan-queries'),
  planRoom: await import('./plans/room-queries'),
  board: await import('./readiness/board-queries'),
  byEye: await import('./readiness/by-eye-queries'),
  person: await import('./readiness/person-queries'),
  round: await import('./readiness/round-queries'),
  setups: await import('./setups/queries'),
  students: await import('./students/queries'),
  studio: await import('./studio/queries'),
  teaching: await import('./teaching/queries'),
  roomDisplay: await import('./teaching/board-queries'),
  wrap: await import('./teaching/wrap-queries'),
  log: await import('./teaching/log-queries'),
  cover: await import('./handover/queries'),
  home: await import('./home/queries'),
  files: await import('./studio-file/queries'),
  own: await import('./practice-own/queries'),
  progress: await import('./progress/person-queries'),
  review: await import('./progress/review-queries'),
  groupwise: await import('./progress/group-queries'),
  today: await import('./today/queries'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
  const facts = await import('./facts/actions')
  const { beginSeries } = await import('./series/actions')
  const towards = { name: 'Six weeks', groupId: world.groups[0]!.id, family: 'FS' as const }
  value(await beginSeries({ id: SERIES, ...towards, firstDay: '2026-02-17', weeks: 6 }))
  const { makeSequence } = await import('./sequences/actions')
  const whom = { people: world.students.slice(0, 6).map((s) => s.id), minutes: 14 }
  value(await makeSequence({ id: SEQUENCE, name: 'Strong arms', ...whom }))
  const incidents = await import('./incidents/actions')
  const words = { pain: 6, regions: ['wrist' as const], energy: 2, arms: 8, look: 'watch' as const }
  const checkIn = { ...words, ticked: [], touch: 'no' as const }
  for (const { id } of world.students.slice(0, 6))
    value(await facts.recordFact({ ...stamp(), kind: 'check-in', studentId: id, words: checkIn }))
  const report = {
    ...{
      id: v7(),
      day: DAY,
      time: '18:50',
      classId: tonight,
      studentId: idOf('Jonty Abara'),
      kind: 'fall' as const,
    },
    ...{ stageId: null, happened: PLANTED, done: 'Sat out.', told: [], witnesses: '', reporter: PLANTED },
  }
  value(await incidents.saveIncident(report))
  const { addScreening } = await import('@/db/health')
  const { scope, health, practice } = await screen()
  const pressure = practice.intake.find((q) => q.options.some((o) => o.sets.includes('BPH-open')))
  const options = pressure?.options.filter((o) => o.sets.includes('BPH-open')).map((o) => o.id) ?? []
  const yes = {
    question: pressure?.id ?? '',
    choice: 'yes' as const,
    options,
    day: DAY,
    given: 'asked-aloud' as const,
  }
  const said = { answers: [yes], nothingApplies: DAY, gentle: null }
  addScreening(scope, health.key!, { id: v7(), studentId: idOf('Ines Calder'), day: DAY }, said)
  const plans = await import('./plans/actions')
  const form = {
    id: CLASS,
    planId: v7(),
    title: 'Private',
    day: DAY,
    startTime: '20:00',
    minutes: '60',
    bays: 2,
    aim: { kind: 'practice' as const, families: ['FS' as const] },
  }
  const roster = world.students.map((s) => s.id)
  value(await plans.createClass({ ...form, groupId: null, roster }))
  const run = { kind: 'class-event' as const, classId: CLASS, atMs: 1, blockIndex: 0 }
  for (const event of ['started', 'ended'] as const)
    value(await facts.recordFact({ ...stamp(), ...run, event }))
})
const CLASS = v7()

const everybody = <T>(read: (id: string) => T): T[] => world.students.map((s) => read(s.id))

/** Every read model there is, by the name it is exported under. A new one has to be put here. */
const READS: Readonly<Record<string, (ctx: Context) => unknown>> = {
  approachPage: (ctx) => everybody((id) => app.approaches.approachPage(ctx, 'student', id)),
  affected: (ctx) => app.approaches.affected(ctx, 'class', CLASS),
  previewChoices: (ctx) => app.approaches.previewChoices(ctx, 'teacher', '', { A01: 'wall' }),
  doorData: (ctx) => [app.door.doorData(ctx, tonight), app.door.doorData(ctx, CLASS)],
  groupViews: (ctx) => app.groups.groupViews(ctx),
  intakeQuestions: () => 'the questions themselves',
  limitsView: (ctx) => everybody((id) => app.health.limitsView(ctx, id)),
  healthView: (ctx) => everybody((id) => app.health.healthView(ctx, id)),
  passData: (ctx) => ({ ...app.health.passData(ctx, CLASS), questions: [] }),
  dailyTicks: () => 'the ticks themselves',
  clearableLoads: () => 'loads, of nobody',
  printedCode: (ctx) => app.health.printedCode(ctx),
  incidentList: (ctx) => app.incidents.incidentList(ctx),
  incidentView: (ctx) => app.incidents.incidentList(ctx).map(({ id }) => app.incidents.incidentView(ctx, id)),
  incidentForm: (ctx) => app.incidents.incidentForm(ctx),
  familyFrom: () => '',
  kindFrom: () => '',
  kindNames: () => '',
  listOf: () => 'the practice, of nobody',
  mapOf: () => 'the practice, of nobody',
  found: () => 'the practice, of nobody',
  entryPage: () => 'the practice, of nobody',
  familyNames: () => '',
  classSummaries: (ctx) => app.plans.classSummaries(ctx, null),
  newClassData: (ctx) => app.plans.newClassData(ctx, { from: tonight }),
  planView: (ctx) => [app.planOne.planView(ctx, CLASS), app.planOne.planView(ctx, tonight)],
  roomThrough: (ctx) => [app.planRoom.roomThrough(ctx, CLASS), app.planRoom.roomThrough(ctx, tonight)],
  board: (ctx) => app.board.board(ctx),
  roomBoard: (ctx) => [app.roomDisplay.roomBoard(ctx, CLASS), app.roomDisplay.roomBoard(ctx, tonight)],
  logbook: (ctx) => app.log.logbook(ctx, {}, 1),
  wrapUp: (ctx) => [app.wrap.wrapUp(ctx, CLASS), app.wrap.wrapUp(ctx, tonight)],
  recap: (ctx) => app.wrap.recap(ctx, CLASS),
  sheetToEnter: (ctx) => app.wrap.sheetToEnter(ctx, CLASS),
  byEye: (ctx) => app.byEye.byEye(ctx, 'HD', 'all'),
  personReadiness: (ctx) =>
    everybody((id) =>
      (['FS', 'HD-10', 'HS-13', 'SH-16'] as const).map((step) =>
        app.person.personReadiness(ctx, id, {
          ...{ family: familyAsked(step.slice(0, 2)), step },
          ...{ withTurnings: true, withAll: true },
        }),
      ),
    ),
  nextRound: (ctx) => app.round.nextRound(ctx),
  roundData: (ctx) => app.round.roundData(ctx, CLASS),
  cardOf: (ctx) => app.round.cardOf(ctx, CLASS, undefined),
  benchData: (ctx) => everybody((id) => ({ ...app.setups.benchData(ctx, id), setups: [] })),
  benchDetails: (ctx) => everybody((id) => app.setups.benchDetails(ctx, id)),
  cardData: (ctx) => app.setups.cardData(ctx, { setup: 'SETUP-dolphin-block', height: '170' }),
  studentLists: (ctx) => app.students.studentLists(ctx),
  studentProfile: (ctx) => everybody((id) => app.students.studentProfile(ctx, id)),
  profileValues: (ctx) =>
    app.students.studentLists(ctx).current.map((s) => app.students.profileValues(ctx, s)),
  workedOut: (ctx) => [
    ...app.students.workedOut(
      ctx,
      world.students.map((s) => s.id),
    ),
  ],
  bodyLines: (ctx) => app.students.studentLists(ctx).current.map((s) => app.students.bodyLines(ctx, s)),
  incidentCount: (ctx) => everybody((id) => app.students.incidentCount(ctx, id)),
  shellData: (ctx) => app.studio.shellData(ctx),
  paletteEntries: (ctx) => app.studio.paletteEntries(ctx),
  roomView: (ctx) => app.studio.roomView(ctx),
  cupboard: (ctx) => app.studio.cupboard(ctx),
  helpers: (ctx) => app.studio.helpers(ctx),
  emergencyView: (ctx) => app.studio.emergencyView(ctx),
  floorView: () => 'what the room does, of nobody',
  teachData: (ctx) => app.teaching.teachData(ctx, CLASS),
  teachList: (ctx) => app.teaching.teachList(ctx, null),
  changesOf: (ctx) => app.teaching.changesOf(ctx, CLASS),
  endedClasses: (ctx) => app.teaching.endedClasses(ctx, null),
  ownView: (ctx) => app.own.ownView(ctx, 'FS-07'),
  previewOwn: (ctx) =>
    app.own.previewOwn(ctx, { kind: 'stage', id: 'FS-07', fields: { 'gate.CK-dolphin-hold': 20 } }),
  seriesList: (ctx) => app.series.seriesList(ctx),
  proposedFocus: (ctx) =>
    app.series.proposedFocus(
      ctx,
      world.students.map((s) => s.id),
      'FS',
      6,
    ),
  seriesView: (ctx) => app.series.seriesView(ctx, SERIES),
  mailboxView: (ctx) => app.mailbox.mailboxView(ctx),
  tokenLines: (ctx) => app.api.tokenLines(ctx),
  sequenceList: (ctx) => app.sequences.sequenceList(ctx),
  sequenceView: (ctx) => app.sequences.sequenceView(ctx, SEQUENCE),
  accessView: (ctx) => app.access.accessView(ctx),
  ownAccount: (ctx) => app.access.ownAccount(ctx),
  trailView: (ctx) => app.access.trailView(ctx),
  trailOf: (ctx) => app.access.trailOf(ctx, idOf('Jonty Abara')),
  isEmptyStudio: (ctx) => app.files.isEmptyStudio(ctx),
  // What a link opens is another screen than this one: it has a test of its own.
  coverByToken: (ctx) => app.cover.coverByToken(ctx, 'no way in'),
  homeView: (ctx) => everybody((id) => app.home.homeView(ctx, id)),
  homeByToken: (ctx) => app.home.homeByToken(ctx, 'no way in'),
  personProgress: (ctx) => everybody((id) => app.progress.personProgress(ctx, id, 'FS')),
  studioReview: (ctx) => app.review.studioReview(ctx),
  groupChoices: (ctx) => app.groupwise.groupChoices(ctx),
  groupProgress: (ctx) => app.groupwise.groupProgress(ctx, world.groups[0]!.id),
  todayData: (ctx) => app.today.todayData(ctx),
}

/** Words by which a limit, an answer, a clearance, a check-in or a report would be known. */
function tellTales(ctx: Context): string[] {
  const strict = (['barred', 'left-out', 'changed', 'watch'] as const).map((v) => `${verdictWord(v)}: `)
  const loads = ctx.practice.cautions.flatMap((c) =>
    c.tags.map((t) => describeLoadFrom({ ...t, level: t.level })),
  )
  return [
    ...strict,
    ...new Set(loads.flatMap((words) => [`leave out ${words}`, `: ${words}`, `"${words}"`])),
    ...ctx.practice.cautions.flatMap((c) => (c.change ? [c.change.words] : [])),
    ...['Not done in this room', 'recorded clearance', 'Left out', 'Half the repetitions'],
    ...[PLANTED, 'high-managed', 'asked aloud', 'Cleared for', 'letter-seen', '"pain"', '"arms":'],
  ]
}
const found = (ctx: Context, data: unknown): string[] => {
  const text = JSON.stringify(data ?? null)
  return tellTales(ctx).filter((word) => text.includes(word))
}

it('names every read model', () => {
  const exported = Object.values(app).flatMap((module) =>
    Object.entries(module).flatMap(([name, what]) => (typeof what === 'function' ? [name] : [])),
  )
  expect(Object.keys(READS).toSorted()).toEqual([...new Set(exported)].toSorted())
})

it.each(Object.keys(READS))(
  '%s: with privacy shut no word of a limit, an answer or a report',
  async (name) => {
    const ctx = await screen({ hidden: true, notesOpen: false })
    expect(found(ctx, READS[name]?.(ctx))).toEqual([])
  },
)

it('the words looked for are there where nothing is hidden', async () => {
  const ctx = await screen()
  const telling = Object.keys(READS).filter((name) => found(ctx, READS[name]?.(ctx)).length > 0)
  expect(telling).toEqual(
    expect.arrayContaining([
      ...['doorData', 'limitsView', 'healthView', 'incidentView', 'planView', 'personReadiness'],
      ...['benchDetails', 'teachData', 'changesOf', 'board'],
    ]),
  )
})

it('a screen of which nothing is known counts as shut', async () => {
  const { SHUT } = await import('./context')
  const { privacyHere } = await import('./layer')
  const { cookies } = jest.requireMock<{ cookies: () => Promise<unknown> }>('next/headers')
  expect(await cookies()).toBeDefined()
  jest
    .spyOn(jest.requireMock<{ cookies: () => Promise<unknown> }>('next/headers'), 'cookies')
    .mockRejectedValueOnce(new Error('no cookies'))
  expect(await privacyHere()).toEqual(SHUT)
  expect(SHUT).toEqual({ hidden: true, notesOpen: false })
})

it('no read model walks through everybody’s facts: each of its queries goes by an index', async () => {
  const { sharedDb } = await import('@/db/open')
  const client = (sharedDb() as unknown as { $client: Client }).$client
  const asked = new Set<string>()
  const prepare = client.prepare.bind(client)
  const spy = jest.spyOn(client, 'prepare').mockImplementation((sql: string) => {
    asked.add(sql)
    return prepare(sql)
  })
  const ctx = await screen()
  for (const read of Object.values(READS)) read(ctx)
  spy.mockRestore()
  const selects = [...asked].filter((sql) => /^\s*select/i.test(sql))
  expect(selects.length).toBeGreaterThan(25)
  const scans = selects.flatMap((sql) => {
    const values = sql
      .split('?')
      .slice(1)
      .map(() => null)
    const plan = prepare(`EXPLAIN QUERY PLAN ${sql}`).all(...values) as { detail: string }[]
    return plan
      .filter(({ detail }) => FACT_SCAN.test(detail))
      .map(({ detail }) => `${detail}: ${sql.slice(0, 160)}`)
  })
  expect(scans).toEqual([])
})

type Client = { prepare: (sql: string) => { all: (...values: unknown[]) => unknown[] } }
/** Tables that grow with every class; walking along an index of one's own order is no scan. */
const FACT_SCAN =
  /^SCAN (observation|attempt|drill_done|placement|note|attendance|class_event|current_decision|trail)\b(?!.*USING)/
