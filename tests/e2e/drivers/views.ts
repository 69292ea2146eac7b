import type { Page } from '@playwright/test'

/** Addresses that depend on the demo firm: a pond with everything, a visit that is over, a day sheet. */
export async function viewAddresses(page: Page) {
  await page.goto('/ponds?q=lanternhouse')
  const pond = (await page.getByRole('link', { name: 'Garden pond' }).getAttribute('href'))!
  await page.goto(`${pond}/visits`)
  const cleanout = page.getByRole('link', { name: /^Spring cleanout, / }).last()
  const report = (await cleanout.getAttribute('href'))!
  await page.goto('/rounds')
  const daySheet = (await page
    .getByRole('link', { name: /^Day sheet/ })
    .first()
    .getAttribute('href'))!
  await page.goto('/customers?q=brannoch')
  const customer = (await page.getByRole('link', { name: 'Brannoch family' }).getAttribute('href'))!
  return {
    customer,
    pond,
    report,
    daySheet,
    field: report.replace('/visits/', '/field?visit=').replace('/report', ''),
  }
}

const PARTS = [
  'options',
  'bed',
  'site',
  'water',
  'train',
  'network',
  'planting',
  'outlook',
  'price',
  'drawings',
  'versions',
]

type Addresses = Awaited<ReturnType<typeof viewAddresses>>
/** The main views, by what they are of. */
export const VIEW_GROUPS: Readonly<Record<string, (at: Addresses) => readonly string[]>> = {
  'of the day': ({ report, daySheet, field }) => [
    '/',
    '/season',
    '/rounds',
    '/rounds?view=day',
    daySheet,
    report,
    '/field',
    field,
    '/planning',
    '/map',
  ],
  'of the firm': ({ customer }) => [
    '/ponds',
    '/ponds?map=true',
    '/messages',
    '/import-export',
    '/customers',
    customer,
    '/proposals',
    '/house-rules',
    '/people',
    '/prices',
    '/cutting',
    '/plants',
    '/stores',
    '/visit-types',
    '/trust',
    '/visit-types/spring-cleanout',
    '/not-allowed',
  ],
  'of a pond': ({ pond }) => [
    '/ponds/new',
    pond,
    ...[
      'survey',
      'site',
      'plan',
      'service-plan',
      'plants',
      'house-rules',
      'rescue',
      'equipment',
      'visits',
      'files',
    ].map((of) => `${pond}/${of}`),
  ],
  'of the water': ({ pond }) => [
    '/forecasts',
    '/trainer',
    ...['water', 'doses', 'forecast', 'what-if', 'start-up', 'diagnosis'].map((of) => `${pond}/${of}`),
  ],
  'of the design': ({ pond }) => [`${pond}/design`, ...PARTS.map((part) => `${pond}/design?part=${part}`)],
}
