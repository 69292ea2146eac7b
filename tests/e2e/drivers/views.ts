import type { Page } from '@playwright/test'

/** Addresses that depend on the demo firm: a pond with everything, a visit that is over, a day sheet. */
export async function viewAddresses(page: Page) {
  await page.goto('/ponds?q=lanternhouse')
  const pond = (await page.getByRole('link', { name: 'Garden pond' }).getAttribute('href'))!
  await page.goto(pond)
  const cleanout = page.getByRole('link', { name: /^Spring cleanout, / }).last()
  const report = (await cleanout.getAttribute('href'))!
  await page.goto('/rounds')
  const daySheet = page.getByRole('link', { name: /^Day sheet/ }).first()
  return {
    pond,
    report,
    daySheet: (await daySheet.getAttribute('href'))!,
    field: report.replace('/visits/', '/field?visit=').replace('/report', ''),
  }
}

const PARTS = ['bed', 'water', 'beside', 'network', 'planting', 'outlook', 'price', 'drawings', 'versions']

type Addresses = Awaited<ReturnType<typeof viewAddresses>>
/** The main views, by what they are of. */
export const VIEW_GROUPS: Readonly<Record<string, (at: Addresses) => readonly string[]>> = {
  'of the day': ({ report, daySheet, field }) => [
    '/',
    '/season',
    '/rounds',
    daySheet,
    report,
    '/field',
    field,
    '/planning',
    '/map',
  ],
  'of the firm': () => [
    '/ponds',
    '/messages',
    '/import-export',
    '/customers',
    '/house-rules',
    '/people',
    '/prices',
    '/cutting',
    '/plants',
    '/stores',
    '/visit-types',
    '/visit-types/spring-cleanout',
    '/not-allowed',
  ],
  'of a pond': ({ pond }) => [
    '/ponds/new',
    pond,
    ...['survey', 'plan', 'service-plan', 'plants', 'house-rules', 'rescue', 'doses'].map((of) => `${pond}/${of}`),
  ],
  'of the water': ({ pond }) => [
    '/forecasts',
    '/trainer',
    ...['forecast', 'what-if', 'start-up', 'diagnosis'].map((of) => `${pond}/${of}`),
  ],
  'of the design': ({ pond }) => [`${pond}/design`, ...PARTS.map((part) => `${pond}/design?part=${part}`)],
}
