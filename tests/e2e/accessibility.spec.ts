import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { openAccount, openCustomer } from './drivers/desk'
import { seriousOn } from './drivers/field-checks'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'
import { VIEW_GROUPS, viewAddresses } from './drivers/views'
import { LOCALE_COOKIE } from '../../src/messages/texts'
import { straysOn } from './drivers/stray-texts'

test('the doors have nothing serious', async ({ page }) => {
  await page.goto('/sign-in')
  expect(await seriousOn(page)).toEqual([])
})

/** Views that are used outdoors, in the theme for it; the field sheet's own tests see the rest of it. */
const OUTDOORS = ['/', '/rounds', '/field']

const NARROWEST_PX = 320
const WIDEST_PX = 2560

/** The address of a text that was shown instead of its words. */
const RAW_KEY = /^[a-z]\w+\.[a-z]\w+\.[\w-]+$/

/**
 * One look at a view: all rules in the light, colours in the other themes, and nothing wider than the window, be it a
 * small phone's or a wall's.
 */
async function look(page: Page, view: string, themes: readonly string[]): Promise<void> {
  await page.goto(view)
  await page.waitForLoadState('networkidle')
  await expect(page.getByText(RAW_KEY), `${view}: texts without words`).toHaveCount(0)
  expect(await straysOn(page), `${view}: not from the catalogue`).toEqual([])
  const wear = (theme: string) => page.evaluate((t) => (document.documentElement.dataset.bsTheme = t), theme)
  await wear('light')
  expect(await seriousOn(page), view).toEqual([])
  for (const theme of themes) {
    await wear(theme)
    expect(await seriousOn(page, true), `${view}, ${theme}`).toEqual([])
  }
  const over = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  for (const width of [NARROWEST_PX, WIDEST_PX]) {
    await page.setViewportSize({ width, height: 740 })
    // what is drawn to the width of its place follows a moment later
    await expect.poll(over, `${view} at ${width} px`).toBeLessThanOrEqual(0)
  }
  await page.setViewportSize({ width: 1280, height: 800 })
}

for (const [group, viewsOf] of Object.entries(VIEW_GROUPS))
  test(`views ${group}: nothing serious in any theme, nothing wider than a small phone, no text of its own`, async ({
    page,
    context,
    baseURL,
  }) => {
    test.setTimeout(180_000)
    const errors = watchErrors(page)
    // colours that fade over are looked at when they are there
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await signInAs(page, 'owner')
    const at = await viewAddresses(page)
    await context.addCookies([{ name: LOCALE_COOKIE, value: 'en-XA', url: baseURL! }])
    for (const view of viewsOf(at))
      await look(page, view, OUTDOORS.includes(view) || view === at.pond ? ['dark', 'sun'] : ['dark'])
    expect(errors).toEqual([])
  })

test('what is reached by a link or begun by a press has nothing serious either, and no text of its own', async ({
  page,
  context,
  baseURL,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await signInAs(page, 'owner')
  const begun = await page.request.post('/api/v1/trainer-games', { data: { scenario: 'first-season', seed: 7 } })
  expect(begun.status(), await begun.text()).toBe(200)
  const game: { id: string } = await begun.json()
  await openCustomer(page, 'Bram Ottersley')
  await page.getByRole('button', { name: /^Share customer page/ }).click()
  const address = page.getByRole('link', { name: /^Open customer page/ }).first()
  const customerPage = (await address.getAttribute('href'))!
  await context.addCookies([{ name: LOCALE_COOKIE, value: 'en-XA', url: baseURL! }])
  await look(page, `/trainer/${game.id}`, ['dark'])
  await look(page, customerPage, ['dark'])
  expect(errors).toEqual([])
})

test('units switch for the person everywhere', async ({ page }) => {
  await signInAs(page, 'technician')
  await page.goto('/ponds?q=lanternhouse')
  await expect(page.getByRole('row', { name: /Lanternhouse/ })).toContainText('m³')
  await openAccount(page)
  await page.getByLabel('Units').selectOption('us')
  await expect(page.getByRole('row', { name: /Lanternhouse/ })).toContainText('gal')
  await page.getByLabel('Units').selectOption('metric')
  await expect(page.getByRole('row', { name: /Lanternhouse/ })).toContainText('m³')
})
