/** @jest-environment node */
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { mapTile, mapTiles } from './tiles'

const PICTURE = Buffer.from([0x89, 0x50, 0x4e, 0x47])
let server: Server
const asked: string[] = []
const before = { url: process.env.MAP_TILES_URL, attribution: process.env.MAP_TILES_ATTRIBUTION }

beforeAll(async () => {
  server = createServer((request, response) => {
    asked.push(request.url!)
    if (request.url === '/0/0/0.png') response.setHeader('content-type', 'text/html').end('<script>')
    else if (request.url === '/1/0/0.png') response.writeHead(404).end()
    else response.setHeader('content-type', 'image/png').end(PICTURE)
  })
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
  process.env.MAP_TILES_URL = `http://127.0.0.1:${(server.address() as AddressInfo).port}/{z}/{x}/{y}.png`
  process.env.MAP_TILES_ATTRIBUTION = 'Survey office'
})
afterAll(async () => {
  Object.assign(process.env, { MAP_TILES_URL: before.url ?? '', MAP_TILES_ATTRIBUTION: before.attribution ?? '' })
  await new Promise((closed) => server.close(closed))
})

describe('a source of map tiles', () => {
  it('is asked for the square, and its maker is named', async () => {
    expect(mapTiles()).toEqual({ attribution: 'Survey office' })
    expect(await mapTile({ z: 5, x: 3, y: 7 })).toEqual({ body: PICTURE, type: 'image/png' })
    expect(asked).toContain('/5/3/7.png')
  })
  it('passes on pictures alone, and nothing where there is none', async () => {
    expect(await mapTile({ z: 0, x: 0, y: 0 })).toBeNull()
    expect(await mapTile({ z: 1, x: 0, y: 0 })).toBeNull()
  })
  it('is not given up when some of its squares are empty', async () => {
    for (let i = 0; i < 5; i++) expect(await mapTile({ z: 1, x: 0, y: 0 })).toBeNull()
    expect(await mapTile({ z: 6, x: 3, y: 7 })).toEqual({ body: PICTURE, type: 'image/png' })
  })
  it('is none where none is set', async () => {
    const set = process.env.MAP_TILES_URL
    process.env.MAP_TILES_URL = ''
    expect(mapTiles()).toBeNull()
    expect(await mapTile({ z: 5, x: 3, y: 7 })).toBeNull()
    process.env.MAP_TILES_URL = set
  })
})
