import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { askJson } from '@/server/platform/gateways/ask'

let server: Server
let answer: (count: number) => { status?: number; body: string; delayMs?: number }
let asked = 0
beforeAll(async () => {
  server = createServer((_, response) => {
    const { status = 200, body, delayMs = 0 } = answer(++asked)
    setTimeout(() => response.writeHead(status).end(body), delayMs)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
})
afterAll(() => new Promise((resolve) => server.close(resolve)))
const url = () => new URL(`http://127.0.0.1:${(server.address() as AddressInfo).port}/x`)

describe('an outside service', () => {
  it('answers within a time and a size, and is left alone for a while after it failed twice', async () => {
    answer = () => ({ body: '{"a":1}' })
    expect(await askJson(url(), { timeoutMs: 1000 })).toEqual({ a: 1 })
    answer = () => ({ body: JSON.stringify('x'.repeat(500)) })
    await expect(askJson(url(), { timeoutMs: 1000, maxBytes: 100 })).rejects.toThrow('larger than 100 bytes')
    answer = () => ({ body: '{}', delayMs: 500 })
    await expect(askJson(url(), { timeoutMs: 50 })).rejects.toThrow()
    const before = asked
    answer = () => ({ body: '{}' })
    await expect(askJson(url(), { timeoutMs: 1000 })).rejects.toThrow('did not answer lately')
    expect(asked).toBe(before)
    expect(await askJson(url(), { timeoutMs: 1000, nowMs: Date.now() + 60_000 })).toEqual({})
  })
})
