import { LOCALE_COOKIE } from '../../src/messages/texts'
import { signInAs } from './drivers/sign-in'
import { strayFinder, unmarked } from './drivers/stray-texts'
import { expect, test } from './drivers/test'
import { VIEW_GROUPS, viewAddresses } from './drivers/views'

test('in a language that marks its texts, no view says anything that is not from the catalogue', async ({
  page,
  context,
  baseURL,
}) => {
  test.setTimeout(180_000)
  await signInAs(page, 'owner')
  const at = await viewAddresses(page)
  const strayIn = await strayFinder()
  await context.addCookies([{ name: LOCALE_COOKIE, value: 'en-XA', url: baseURL! }])
  const strays: string[] = []
  for (const view of Object.values(VIEW_GROUPS).flatMap((viewsOf) => viewsOf(at))) {
    await page.goto(view)
    await page.waitForLoadState('networkidle')
    for (const line of await unmarked(page)) {
      const stray = strayIn(line)
      if (stray) strays.push(`${view.replace(/[0-9a-f-]{36}/g, '…')}: ${stray} (${line.trim().slice(0, 60)})`)
    }
  }
  expect(strays).toEqual([])
})
