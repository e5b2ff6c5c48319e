import 'server-only'
import { z } from 'zod'
import type { Day } from '@/core/day'
import { API_PATHS, openApi, type ApiPath } from '@/core/formats/api'
import { goodToken, noteUse } from '@/db/api-tokens'
import { SHUT, contextFor, type Context } from '../context'
import { guessed, waitBeforeGuess } from '../guesses'
import { hashOf } from '../token'
import {
  classesAnswer,
  planAnswer,
  practiceAnswer,
  readinessAnswer,
  resultsAnswer,
  studentsAnswer,
} from './read'

const DOOR = 'api'
const MS_A_SECOND = 1000

type Asked = {
  readonly id: string
  readonly from?: Day | undefined
  readonly to?: Day | undefined
  readonly before?: Day | undefined
}

const READS: Readonly<Record<ApiPath, (ctx: Context, asked: Asked) => object | null>> = {
  '/practice': practiceAnswer,
  '/students': studentsAnswer,
  '/students/{id}/readiness': (ctx, { id }) => readinessAnswer(ctx, id),
  '/students/{id}/results': (ctx, { id, from, to }) => resultsAnswer(ctx, id, { from, to }),
  '/classes': (ctx, { before }) => classesAnswer(ctx, before ?? null),
  '/classes/{id}/plan': (ctx, { id }) => planAnswer(ctx, id),
}

/**
 * Answers one request of another program: the description to anybody, everything else to a token that may read it. A
 * right token is never held up by wrong ones.
 * @param path what was asked for below `/api/v1`
 */
export function answerApi(request: Request, path: readonly string[]): Response {
  if (path.join('/') === 'openapi.json') return said(200, openApi())
  const ctx = contextFor(SHUT)
  const token = tokenOf(request)
  const good = token === '' ? null : goodToken(ctx.scope, hashOf(token), ctx.clock.today)
  if (!good) return refusedToken(token)
  guessed(DOOR, true)
  const found = (Object.keys(API_PATHS) as ApiPath[]).find((known) => fits(known, path))
  if (found === undefined)
    return refused(404, 'There is nothing at that path. /api/v1/openapi.json lists what is.')
  if (!good.scopes.includes(API_PATHS[found].scope))
    return refused(403, `This token may not read ${API_PATHS[found].scope}.`)
  const days = daysIn(new URL(request.url).searchParams)
  if (days === null)
    return refused(400, 'Days are written as 2026-03-10, and the first is not after the last.')
  if (good.usedDay !== ctx.clock.today) noteUse(ctx.scope, good.id, ctx.clock.today)
  const answer = READS[found](ctx, { ...days, id: path[1] ?? '' })
  return answer ? said(200, answer) : refused(404, 'Nobody and nothing of that id is here.')
}

function tokenOf(request: Request): string {
  const [scheme = '', token = ''] = (request.headers.get('authorization') ?? '').split(' ')
  return scheme.toLowerCase() === 'bearer' ? token : ''
}

function refusedToken(token: string): Response {
  const waitMs = waitBeforeGuess(DOOR)
  if (waitMs > 0)
    return refused(429, 'Too many wrong tokens: wait a little.', {
      'retry-after': String(Math.ceil(waitMs / MS_A_SECOND)),
    })
  if (token !== '') guessed(DOOR, false)
  return refused(401, token === '' ? 'A token is missing.' : 'That token is not known, or has ended.', {
    'www-authenticate': 'Bearer',
  })
}

function fits(known: ApiPath, path: readonly string[]): boolean {
  const parts = known.split('/').slice(1)
  return parts.length === path.length && parts.every((part, i) => part === '{id}' || part === path[i])
}

const dayQuery = z.object({
  from: z.iso.date().optional(),
  to: z.iso.date().optional(),
  before: z.iso.date().optional(),
})

function daysIn(query: URLSearchParams): z.output<typeof dayQuery> | null {
  const { data } = dayQuery.safeParse(Object.fromEntries(query))
  if (!data) return null
  return data.from !== undefined && data.to !== undefined && data.from > data.to ? null : data
}

function said(status: number, body: object, headers: Readonly<Record<string, string>> = {}): Response {
  return Response.json(body, { status, headers: { 'cache-control': 'no-store', ...headers } })
}

function refused(status: number, error: string, headers: Readonly<Record<string, string>> = {}): Response {
  return said(status, { error }, headers)
}
