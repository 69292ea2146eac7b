import { mkdtempSync, readlinkSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext } from '@playwright/test'
import { expect, test } from './drivers/test'
import knexFactory from 'knex'
import sharp from 'sharp'
import playwrightConfig, { WHOLE_BROWSER } from '../../playwright.config'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
import { planToday } from './drivers/plan-today'
import { leadOf, signInAs, signInByForm, signInWith } from './drivers/sign-in'
import { PACK_FORMAT } from '../../src/domain/field/field-pack'

const CREW = 'Kingfisher'
let folder: string
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'killed-device-'))
})
test.afterEach(() => rmSync(folder, { recursive: true, force: true }))

/**
 * A phone whose browser keeps what it has on disk and works on in the background, as a real one does: the whole of
 * it.
 */
const phone = (baseURL: string | undefined): Promise<BrowserContext> =>
  chromium.launchPersistentContext(folder, {
    ...playwrightConfig.use?.launchOptions,
    executablePath: WHOLE_BROWSER,
    baseURL,
    viewport: PHONE,
    hasTouch: true,
  })

/** The battery is out: the browser ends in the middle of whatever it does. */
async function kill(context: BrowserContext): Promise<void> {
  const gone = new Promise((resolve) => context.once('close', resolve))
  // the browser's lock on its folder names its process: host-pid
  process.kill(Number(readlinkSync(join(folder, 'SingletonLock')).split('-').at(-1)), 'SIGKILL')
  await gone
}

async function keptPhotos(visit: string): Promise<number> {
  const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
  const { n } = (await owner('photos').where('visit_id', visit.split('=')[1]).count<{ n: string }[]>('id as n'))[0]!
  await owner.destroy()
  return Number(n)
}

const image = () =>
  sharp({ create: { width: 2000, height: 1500, channels: 3, background: { r: 90, g: 130, b: 120 } } })
    .jpeg()
    .toBuffer()

test('a device that dies between a photo and its sending has the photo when it starts again, and hands it in once', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(120_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const visit = await planToday(desk, 'winter-check', '03:20', 'bellwether', CREW)

  let context = await phone(baseURL)
  let page = context.pages()[0]!
  await signInWith(page, leadOf(CREW))
  await keptOnDevice(page)
  await page.goto(visit)
  await page.getByRole('button', { name: 'Start visit' }).click()
  await expect(page.getByText(/^All sent/)).toBeVisible()
  await context.setOffline(true)
  await new StepAtHand(page).photo(await image())
  await new StepAtHand(page).done()
  await new StepAtHand(page).is('Walk the site for hazards')
  const session = (await context.cookies()).map((c) => `${c.name}=${c.value}`).join('; ')
  await kill(context)
  expect(await keptPhotos(visit)).toBe(0)

  // meanwhile its session ended; it starts again where there is signal: all is there, and waits for a sign-in. (Ended
  // before it starts: a browser that had written its session down sends what waits the moment it is there.)
  const ended = await fetch(`${baseURL}/api/v1/sign-out`, {
    method: 'POST',
    headers: { cookie: session, origin: baseURL! },
  })
  expect(ended.status, await ended.text()).toBe(200)
  context = await phone(baseURL)
  page = context.pages()[0]!
  await page.goto(visit)
  await expect(page.getByText(/2 entries waiting to send\. Sign in again to send/)).toBeVisible()
  await new StepAtHand(page).is('Walk the site for hazards')

  // signed in again, it dies while the photo is on its way: the office has it, the device never heard so
  let arrived = (): void => undefined
  const onItsWay = new Promise<void>((resolve) => (arrived = resolve))
  await context.route('**/photos/**', async (route) => {
    if (route.request().method() !== 'PUT') return route.continue()
    await route.fetch()
    arrived()
  })
  await signInByForm(page, leadOf(CREW))
  const cookies = await context.cookies()
  await page.goto(visit)
  // by the page, or by the service worker that the browser woke first
  await Promise.race([onItsWay, expect.poll(() => keptPhotos(visit), { timeout: 40_000 }).toBe(1)])
  await kill(context)
  expect(await keptPhotos(visit)).toBe(1)

  // and once more
  context = await phone(baseURL)
  await context.addCookies(cookies)
  page = context.pages()[0]!
  await page.goto(visit)
  await expect(page.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })
  await new StepAtHand(page).is('Walk the site for hazards')
  expect(await keptPhotos(visit)).toBe(1)
  await context.close()
})

test('what was kept goes out in the background, after the field sheet was closed', async ({ browser, baseURL }) => {
  test.setTimeout(120_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const visit = await planToday(desk, 'winter-check', '23:10', 'bowls', CREW)
  const context = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  await signInWith(page, leadOf(CREW))
  await keptOnDevice(page)
  const cdp = await context.newCDPSession(page)
  const registration = new Promise<string>((resolve) =>
    cdp.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const field = registrations.find((r) => r.scopeURL.endsWith('/field'))
      if (field) resolve(field.registrationId)
    }),
  )
  await cdp.send('ServiceWorker.enable')
  const registrationId = await registration
  await context.setOffline(true)
  await page.goto(visit)
  await page.getByRole('button', { name: 'Start visit' }).click()
  await expect(page.getByText(/waiting to send/).first()).toBeVisible()

  await page.goto('about:blank')
  await context.setOffline(false)
  // the browser wakes the service worker by itself now and then; here at once
  await cdp.send('ServiceWorker.dispatchSyncEvent', {
    origin: new URL(baseURL!).origin,
    registrationId,
    tag: 'field-sync',
    lastChance: false,
  })
  await expect(async () => {
    const { visit: there } = await (
      await desk.request.get(`/api/v1/field/visits/${visit.split('=')[1]}?format=${PACK_FORMAT}`)
    ).json()
    expect(there.state).toBe('under-way')
  }).toPass({ timeout: 30_000 })
  await context.close()
})
