import http from 'node:http'
import type { AddressInfo } from 'node:net'
import { answerBrokenAddresses, isBroken } from './broken-address'

it('tells an address that stands for nothing from one that does', () => {
  const broken = ['/students/%E0%A4%A', '/%', '/library?q=1%', '/a%zz/b'].map(isBroken)
  expect(broken).toEqual([true, true, false, true])
  expect(['/', '/library?q=%E2%80%99', '/students/a%20b', '/x?%'].some(isBroken)).toBe(false)
})

it('answers it itself with every header, once, and hands everything else on', async () => {
  answerBrokenAddresses()
  answerBrokenAddresses()
  const seen: string[] = []
  const server = http.createServer((asked, answer) => {
    seen.push(asked.url ?? '')
    answer.end('on')
  })
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
  const { port } = server.address() as AddressInfo
  const ask = (path: string): Promise<{ status: number | undefined; frame: unknown }> =>
    new Promise((done) =>
      http.get({ host: '127.0.0.1', port, path }, (answer) => {
        answer.resume()
        done({ status: answer.statusCode, frame: answer.headers['x-frame-options'] })
      }),
    )
  expect(await ask('/students/%E0%A4%A')).toEqual({ status: 404, frame: 'DENY' })
  expect((await ask('/students')).status).toBe(200)
  expect(seen).toEqual(['/students'])
  server.close()
})
