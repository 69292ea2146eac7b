import { spawn, type ChildProcess } from 'node:child_process'
import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { freePort, waitForHttp } from '../../scripts/lib/ports.mjs'
import { cuttableProxy } from '../fixtures/cuttable-proxy'
import { signInAs } from './drivers/sign-in'

let proxy: Awaited<ReturnType<typeof cuttableProxy>>
let app: ChildProcess
let address: string

test.beforeAll(async () => {
  const database = new URL(process.env.APP_DATABASE_URL!)
  proxy = await cuttableProxy(Number(database.port))
  database.port = String(proxy.port)
  const port = await freePort()
  address = `http://127.0.0.1:${port}`
  app = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)], {
    env: { ...process.env, APP_DATABASE_URL: database.href, NODE_ENV: 'production' },
    stdio: 'ignore',
  })
  await waitForHttp(`${address}/api/v1/health`, app)
})

test.afterAll(async () => {
  app.kill()
  await proxy.close()
})

test('a database lost in the middle of a save says so, loses nothing and recovers by itself', async ({ browser }) => {
  const page = await (await browser.newContext({ baseURL: address })).newPage()
  await signInAs(page, 'office')
  await page.goto('/ponds?q=rill')
  await page.getByRole('link', { name: 'Rill basin' }).click()
  await openTab(page, 'Survey')
  await page.getByLabel('Notes').fill('Outlet grate renewed')
  proxy.cut()
  await page.getByRole('button', { name: 'Save survey' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The database cannot be reached right now' })).toBeVisible()
  await expect(page.getByLabel('Notes')).toHaveValue('Outlet grate renewed')

  const other = await page.context().newPage()
  await other.goto('/season')
  await expect(other.getByRole('heading', { name: 'Database not reachable' })).toBeVisible()
  expect((await other.request.get('/api/v1/health')).status()).toBe(503)

  proxy.join()
  await expect(other.getByRole('heading', { level: 1 })).not.toHaveText('Database not reachable', { timeout: 20_000 })
  await page.getByRole('button', { name: 'Save survey' }).click()
  await page.waitForURL(/\/ponds\/[0-9a-f-]+$/)
  await expect(page.getByText('Outlet grate renewed')).toBeVisible()
})
