import { z } from 'zod'
import { FAMILIES } from '../practice/schema'

/** What a token may read; one that is missing from it is refused. */
export const API_SCOPES = ['practice', 'students', 'readiness', 'results', 'classes'] as const
export type ApiScope = (typeof API_SCOPES)[number]

const id = z.string()
const day = z.iso.date()
const named = { id, name: z.string() }

const practice = z.strictObject({
  stages: z.array(
    z.strictObject({
      ...named,
      family: z.enum(FAMILIES),
      after: z.array(z.string()),
      checks: z.array(
        z.strictObject({
          check: id,
          op: z.string(),
          value: z.number().nullable(),
          days: z.number().nullable(),
        }),
      ),
    }),
  ),
  drills: z.array(z.strictObject({ ...named, theme: z.string(), minutes: z.number() })),
  checks: z.array(z.strictObject({ ...named, kind: z.string(), unit: z.string() })),
})
const students = z.strictObject({ students: z.array(z.strictObject({ ...named })) })
const readiness = z.strictObject({
  student: id,
  day,
  families: z.array(
    z.strictObject({
      family: z.enum(FAMILIES),
      outcome: z.string(),
      standing: id.nullable(),
      target: id.nullable(),
    }),
  ),
})
const results = z.strictObject({
  student: id,
  from: day,
  to: day,
  results: z.array(
    z.strictObject({ id, day, check: id, values: z.record(z.string(), z.number()), valid: z.boolean() }),
  ),
  tries: z.array(
    z.strictObject({
      ...{ id, day, stage: id, level: z.string(), outcome: z.string(), help: z.string() },
      seconds: z.number().nullable(),
      lead: z.enum(['left', 'right']).nullable(),
    }),
  ),
})
const classLine = { id, title: z.string(), day, startTime: z.string(), minutes: z.number() }
const classes = z.strictObject({
  classes: z.array(z.strictObject({ ...classLine, people: z.number(), planned: z.boolean() })),
  /** Where the list goes on: classes before this day; null at its end. */
  before: day.nullable(),
})
const plan = z.strictObject({
  ...classLine,
  blocks: z.array(
    z.strictObject({
      ...{ kind: z.string(), startS: z.number(), seconds: z.number() },
      items: z.array(z.strictObject({ id, seconds: z.number() })),
      people: z.array(
        z.strictObject({
          ...{ student: id, variant: id.nullable(), wave: z.number(), turns: z.number() },
          place: z.string().nullable(),
        }),
      ),
    }),
  ),
})

/** What every path of the HTTP API answers, and what a token needs for it. `{}` is one part of the path. */
export const API_PATHS = {
  '/practice': {
    scope: 'practice',
    says: 'Stages, drills and checks as this studio uses them',
    of: practice,
  },
  '/students': { scope: 'students', says: 'Everybody who comes, by name', of: students },
  '/students/{id}/readiness': {
    scope: 'readiness',
    says: 'Where somebody stands in each family today: the answer, never a reason or a limit',
    of: readiness,
  },
  '/students/{id}/results': {
    scope: 'results',
    says: 'Results of checks and tries between two days, without notes',
    of: results,
    query: ['from', 'to'],
  },
  '/classes': {
    scope: 'classes',
    says: 'Classes, the newest first, fifty at a time',
    of: classes,
    query: ['before'],
  },
  '/classes/{id}/plan': {
    scope: 'classes',
    says: 'The plan of a class: who does what, where and in which wave, without limits',
    of: plan,
  },
} as const satisfies Record<
  string,
  { scope: ApiScope; says: string; of: z.ZodType; query?: readonly ('from' | 'to' | 'before')[] }
>
export type ApiPath = keyof typeof API_PATHS
export type ApiAnswer<P extends ApiPath> = z.output<(typeof API_PATHS)[P]['of']>

const ERROR = { type: 'object', required: ['error'], properties: { error: { type: 'string' } } } as const

/** The description of the API as an OpenAPI 3.1 document. */
export function openApi(): object {
  const refusal = (description: string): object => ({
    description,
    content: { 'application/json': { schema: ERROR } },
  })
  const paths = Object.fromEntries(
    Object.entries(API_PATHS).map(([path, line]) => [
      path,
      {
        get: {
          summary: line.says,
          operationId: path.replace(/[^a-z]+/g, '-').replace(/^-|-$/g, ''),
          security: [{ token: [line.scope] }],
          parameters: [...pathParameters(path), ...queryParameters('query' in line ? line.query : [])],
          responses: {
            200: {
              description: line.says,
              content: { 'application/json': { schema: bare(z.toJSONSchema(line.of)) } },
            },
            400: refusal('Something asked for is not as it should be'),
            401: refusal('No token, or one that is not known or has ended'),
            403: refusal('The token may not read this'),
            404: refusal('Nobody and nothing of that id'),
            429: refusal('Too many wrong tokens: wait as long as Retry-After says'),
          },
        },
      },
    ]),
  )
  return {
    openapi: '3.1.0',
    info: {
      title: 'Levitar',
      version: '1',
      description: 'Reading what a studio keeps. No health, no limits, no notes, and nothing is changed.',
    },
    servers: [{ url: '/api/v1' }],
    paths,
    components: {
      securitySchemes: {
        token: {
          type: 'http',
          scheme: 'bearer',
          description: 'Made by the owner under Studio, Other programs',
        },
      },
    },
  }
}

function bare(schema: object): object {
  const { $schema: _, ...rest } = schema as { $schema?: string }
  return rest
}

function pathParameters(path: string): object[] {
  return path.includes('{id}') ? [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }] : []
}

function queryParameters(names: readonly string[]): object[] {
  return names.map((name) => ({
    name,
    in: 'query',
    required: false,
    schema: { type: 'string', format: 'date' },
  }))
}
