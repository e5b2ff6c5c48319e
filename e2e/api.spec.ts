import { expect, test } from '@playwright/test'
import { Validator } from '@seriousme/openapi-schema-validator'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

type Described = {
  paths: Record<
    string,
    { get: { responses: { 200: { content: { 'application/json': { schema: object } } } } } }
  >
}

test('the owner makes a token, every path that is described answers it, and an ended one opens nothing', async ({
  page,
  request,
}) => {
  const api = `${app.address}/api/v1`
  const described = (await (await request.get(`${api}/openapi.json`)).json()) as Described
  const { valid, errors } = await new Validator().validate(described)
  expect([valid, errors]).toEqual([true, undefined])

  await page.goto(`${app.address}/studio/files`)
  await page.getByRole('link', { name: 'Other programs' }).click()
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText('Say what it is for.')).toBeVisible()
  await expect(page.getByText('Tick what it may read.')).toBeVisible()
  await page.getByRole('textbox', { name: 'What it is for' }).fill('The front desk')
  for (const name of ['Names of students', 'Where each stands', 'Results and tries', 'Classes and plans'])
    await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Make it' }).click()
  const token = await page.getByRole('textbox', { name: 'The token, told this once' }).inputValue()
  expect(token.length).toBeGreaterThanOrEqual(43)
  const get = (path: string) => request.get(api + path, { headers: { authorization: `Bearer ${token}` } })

  await page.goto(`${app.address}/plans`)
  await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await expect(page.getByRole('link', { name: 'Take to class' })).toBeVisible()
  const { students } = (await (await get('/students')).json()) as { students: { id: string; name: string }[] }
  const { classes } = (await (await get('/classes')).json()) as {
    classes: { id: string; planned: boolean }[]
  }
  expect(students.map((s) => s.name)).toContain('Wren Haskett')
  const student = students[0]?.id ?? ''
  const planned = classes.find((c) => c.planned)?.id ?? ''
  for (const path of Object.keys(described.paths)) {
    const answer = await get(path.replace('{id}', path.startsWith('/classes') ? planned : student))
    expect([path, answer.status()]).toEqual([path, path === '/practice' ? 403 : 200])
    const wanted = Object.keys(required(described, path))
    if (answer.ok()) expect(Object.keys((await answer.json()) as object).sort()).toEqual(wanted.sort())
  }
  await page.goto(`${app.address}/studio/api`)
  const line = page.getByRole('region', { name: 'The front desk' })
  await expect(line.getByText(/last used/)).toBeVisible()
  await expect(page.getByText(token)).toHaveCount(0)
  await line.getByRole('button', { name: 'End it' }).click()
  await line
    .getByRole('button', { name: /^Yes|End it/ })
    .first()
    .click()
  await expect(line.getByText(/^ended, last used/)).toBeVisible()
  expect((await get('/students')).status()).toBe(401)
})

function required({ paths }: Described, path: string): object {
  const { schema } = paths[path]?.get.responses[200].content['application/json'] ?? { schema: {} }
  return (schema as { properties?: object }).properties ?? {}
}
