import type { DemoWorld } from '@/core/simulate/demo'
import type { Context } from '@/features/context'
import { familyAsked } from '@/features/desk/families'

/** Every module of read models, loaded once the test has its data folder. */
export const loadReadModels = async () => ({
  access: await import('@/features/access/queries'),
  series: await import('@/features/series/queries'),
  sequences: await import('@/features/sequences/queries'),
  mailbox: await import('@/features/home/mailbox-queries'),
  api: await import('@/features/api/queries'),
  approaches: await import('@/features/approaches/queries'),
  door: await import('@/features/door/queries'),
  groups: await import('@/features/groups/queries'),
  health: await import('@/features/health/queries'),
  incidents: await import('@/features/incidents/queries'),
  library: await import('@/features/library/queries'),
  plans: await import('@/features/plans/queries'),
  planOne: await import('@/features/plans/plan-queries'),
  planRoom: await import('@/features/plans/room-queries'),
  board: await import('@/features/readiness/board-queries'),
  byEye: await import('@/features/readiness/by-eye-queries'),
  person: await import('@/features/readiness/person-queries'),
  round: await import('@/features/readiness/round-queries'),
  setups: await import('@/features/setups/queries'),
  students: await import('@/features/students/queries'),
  studio: await import('@/features/studio/queries'),
  teaching: await import('@/features/teaching/queries'),
  roomDisplay: await import('@/features/teaching/board-queries'),
  wrap: await import('@/features/teaching/wrap-queries'),
  log: await import('@/features/teaching/log-queries'),
  cover: await import('@/features/handover/queries'),
  home: await import('@/features/home/queries'),
  files: await import('@/features/studio-file/queries'),
  own: await import('@/features/practice-own/queries'),
  progress: await import('@/features/progress/person-queries'),
  review: await import('@/features/progress/review-queries'),
  groupwise: await import('@/features/progress/group-queries'),
  today: await import('@/features/today/queries'),
})

/** Every read model there is, by the name it is exported under. A new one has to be put here. */
// eslint-disable-next-line max-lines-per-function -- a table: a line for each read model.
export function readsOf(
  app: () => Awaited<ReturnType<typeof loadReadModels>>,
  world: DemoWorld,
  ids: {
    readonly CLASS: string
    readonly SERIES: string
    readonly SEQUENCE: string
    readonly tonight: string
  },
): Readonly<Record<string, (ctx: Context) => unknown>> {
  const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
  const everybody = <T>(read: (id: string) => T): T[] => world.students.map((s) => read(s.id))
  return {
    approachPage: (ctx) => everybody((id) => app().approaches.approachPage(ctx, 'student', id)),
    affected: (ctx) => app().approaches.affected(ctx, 'class', ids.CLASS),
    previewChoices: (ctx) => app().approaches.previewChoices(ctx, 'teacher', '', { A01: 'wall' }),
    doorData: (ctx) => [app().door.doorData(ctx, ids.tonight), app().door.doorData(ctx, ids.CLASS)],
    groupViews: (ctx) => app().groups.groupViews(ctx),
    intakeQuestions: () => 'the questions themselves',
    limitsView: (ctx) => everybody((id) => app().health.limitsView(ctx, id)),
    healthView: (ctx) => everybody((id) => app().health.healthView(ctx, id)),
    passData: (ctx) => ({ ...app().health.passData(ctx, ids.CLASS), questions: [] }),
    dailyTicks: () => 'the ticks themselves',
    clearableLoads: () => 'loads, of nobody',
    printedCode: (ctx) => app().health.printedCode(ctx),
    incidentList: (ctx) => app().incidents.incidentList(ctx),
    opensWith: (ctx) => app().setups.opensWith(ctx, 'SETUP-platform-open', 'SH-10'),
    incidentView: (ctx) =>
      app()
        .incidents.incidentList(ctx)
        .map(({ id }) => app().incidents.incidentView(ctx, id)),
    incidentForm: (ctx) => app().incidents.incidentForm(ctx),
    drawnHeight: () => 'a height, of nobody',
    familyFrom: () => '',
    kindFrom: () => '',
    kindNames: () => '',
    listOf: () => 'the practice, of nobody',
    mapOf: () => 'the practice, of nobody',
    found: () => 'the practice, of nobody',
    entryPage: () => 'the practice, of nobody',
    familyNames: () => '',
    classSummaries: (ctx) => app().plans.classSummaries(ctx, null),
    newClassData: (ctx) => app().plans.newClassData(ctx, { from: ids.tonight }),
    planView: (ctx) => [app().planOne.planView(ctx, ids.CLASS), app().planOne.planView(ctx, ids.tonight)],
    roomThrough: (ctx) => [
      app().planRoom.roomThrough(ctx, ids.CLASS),
      app().planRoom.roomThrough(ctx, ids.tonight),
    ],
    board: (ctx) => app().board.board(ctx),
    roomBoard: (ctx) => [
      app().roomDisplay.roomBoard(ctx, ids.CLASS),
      app().roomDisplay.roomBoard(ctx, ids.tonight),
    ],
    logbook: (ctx) => app().log.logbook(ctx, {}, 1),
    wrapUp: (ctx) => [app().wrap.wrapUp(ctx, ids.CLASS), app().wrap.wrapUp(ctx, ids.tonight)],
    recap: (ctx) => app().wrap.recap(ctx, ids.CLASS),
    sheetToEnter: (ctx) => app().wrap.sheetToEnter(ctx, ids.CLASS),
    byEye: (ctx) => app().byEye.byEye(ctx, 'HD', 'all'),
    personReadiness: (ctx) =>
      everybody((id) =>
        (['FS', 'HD-10', 'HS-13', 'SH-16'] as const).map((step) =>
          app().person.personReadiness(ctx, id, {
            ...{ family: familyAsked(step.slice(0, 2)), step },
            ...{ withTurnings: true, withAll: true },
          }),
        ),
      ),
    nextRound: (ctx) => app().round.nextRound(ctx),
    roundData: (ctx) => app().round.roundData(ctx, ids.CLASS),
    cardOf: (ctx) => app().round.cardOf(ctx, ids.CLASS, undefined),
    benchData: (ctx) => everybody((id) => ({ ...app().setups.benchData(ctx, id), setups: [] })),
    benchDetails: (ctx) => everybody((id) => app().setups.benchDetails(ctx, id)),
    cardData: (ctx) => app().setups.cardData(ctx, { setup: 'SETUP-dolphin-block', height: '170' }),
    studentLists: (ctx) => app().students.studentLists(ctx),
    studentsShown: (ctx) => app().students.studentsShown(ctx, 1),
    studentProfile: (ctx) => everybody((id) => app().students.studentProfile(ctx, id)),
    lastWord: (ctx) => everybody((id) => app().students.lastWord(ctx, id)),
    profileValues: (ctx) =>
      app()
        .students.studentLists(ctx)
        .current.map((s) => app().students.profileValues(ctx, s)),
    workedOut: (ctx) => [...app().students.workedOut(ctx, app().students.studentLists(ctx).current)],
    measuring: (ctx) =>
      app()
        .students.studentLists(ctx)
        .current.map((s) => app().students.measuring(ctx, s)),
    incidentCount: (ctx) => everybody((id) => app().students.incidentCount(ctx, id)),
    shellData: (ctx) => app().studio.shellData(ctx),
    paletteEntries: (ctx) => app().studio.paletteEntries(ctx),
    roomView: (ctx) => app().studio.roomView(ctx),
    cupboard: (ctx) => app().studio.cupboard(ctx),
    helpers: (ctx) => app().studio.helpers(ctx),
    emergencyView: (ctx) => app().studio.emergencyView(ctx),
    floorView: () => 'what the room does, of nobody',
    teachData: (ctx) => app().teaching.teachData(ctx, ids.CLASS),
    teachList: (ctx) => app().teaching.teachList(ctx, null),
    changesOf: (ctx) => app().teaching.changesOf(ctx, ids.CLASS),
    endedClasses: (ctx) => app().teaching.endedClasses(ctx, null),
    ownView: (ctx) => app().own.ownView(ctx, 'FS-07'),
    previewOwn: (ctx) =>
      app().own.previewOwn(ctx, { kind: 'stage', id: 'FS-07', fields: { 'gate.CK-dolphin-hold': 20 } }),
    previewWith: (ctx) => app().own.previewWith(ctx, []),
    ownEntries: (ctx) => app().own.ownEntries(ctx),
    seriesList: (ctx) => app().series.seriesList(ctx),
    proposedFocus: (ctx) =>
      app().series.proposedFocus(
        ctx,
        world.students.map((s) => s.id),
        'FS',
        6,
      ),
    seriesView: (ctx) => app().series.seriesView(ctx, ids.SERIES),
    mailboxView: (ctx) => app().mailbox.mailboxView(ctx),
    tokenLines: (ctx) => app().api.tokenLines(ctx),
    sequenceList: (ctx) => app().sequences.sequenceList(ctx),
    sequenceView: (ctx) => app().sequences.sequenceView(ctx, ids.SEQUENCE),
    accessView: (ctx) => app().access.accessView(ctx),
    ownAccount: (ctx) => app().access.ownAccount(ctx),
    trailView: (ctx) => app().access.trailView(ctx),
    trailOf: (ctx) => app().access.trailOf(ctx, idOf('Jonty Abara')),
    isEmptyStudio: (ctx) => app().files.isEmptyStudio(ctx),
    // What a link opens is another screen than this one: it has a test of its own.
    coverByToken: (ctx) => app().cover.coverByToken(ctx, 'no way in'),
    homeView: (ctx) => everybody((id) => app().home.homeView(ctx, id)),
    homeByToken: (ctx) => app().home.homeByToken(ctx, 'no way in'),
    personProgress: (ctx) => everybody((id) => app().progress.personProgress(ctx, id, 'FS')),
    reviewForTeachers: (ctx) => app().review.reviewForTeachers(ctx),
    studioReview: (ctx) => app().review.studioReview(ctx),
    groupChoices: (ctx) => app().groupwise.groupChoices(ctx),
    groupProgress: (ctx) => app().groupwise.groupProgress(ctx, world.groups[0]?.id ?? ''),
    todayData: (ctx) => app().today.todayData(ctx),
  }
}
