import { expect, type Page } from '@playwright/test'

/** A pond that the search finds. @returns its address */
export async function pondHref(desk: Page, search: string): Promise<string> {
  await desk.goto(`/ponds?q=${search}`)
  return (await desk.locator('main a[href^="/ponds/"]').filter({ hasNotText: 'Add' }).first().getAttribute('href'))!
}

/** The crew of the crew lead who signs in on the phone, and the firm's day. */
export async function crewOf(desk: Page): Promise<{ crewId: string; today: string }> {
  await desk.goto('/rounds')
  const sheet = (await desk
    .getByRole('link', { name: /^Day sheet/ })
    .first()
    .getAttribute('href'))!
  const { today } = await (await desk.request.get('/api/v1/field/pack')).json()
  return { crewId: sheet.split('/')[2], today }
}

/** A visit of today for the crew of the crew lead, planned by the office. @returns its address on the field sheet */
export async function planToday(desk: Page, jobType: string, startTime: string, pond: string): Promise<string> {
  const pondId = (await pondHref(desk, pond)).split('/')[2]
  const { crewId, today } = await crewOf(desk)
  const answer = await desk.request.post('/api/v1/visits', { data: { pondId, jobType, day: today, startTime, crewId, note: '' } })
  expect(answer.status(), await answer.text()).toBe(200)
  return `/field?visit=${(await answer.json()).id}`
}
