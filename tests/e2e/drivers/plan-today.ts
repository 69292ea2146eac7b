import { expect, type Page } from '@playwright/test'
import knexFactory from 'knex'
import { PEOPLE } from '../../../demo/people'
import { PACK_FORMAT } from '../../../src/domain/field/field-pack'

/** A pond that the search finds. @returns its address */
export async function pondHref(desk: Page, search: string): Promise<string> {
  await desk.goto(`/ponds?q=${search}`)
  return (await desk.locator('main a[href^="/ponds/"]').filter({ hasNotText: 'Add' }).first().getAttribute('href'))!
}

/** A crew, and the firm's day. */
export async function crewOf(desk: Page, crew: string): Promise<{ crewId: string; today: string }> {
  const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
  const { id } = (await owner('crews').where({ name: crew }).first('id'))!
  await owner.destroy()
  // a connection that lay idle through a long wait may be closed at this very moment: as a browser does, ask again
  const pack = await desk.request.get(`/api/v1/field/pack?format=${PACK_FORMAT}`, { maxRetries: 1 })
  const { today } = await pack.json()
  return { crewId: id, today }
}

/** A visit of today, planned by the office. @returns its address on the field sheet */
export async function planToday(
  desk: Page,
  visitType: string,
  startTime: string,
  pond: string,
  crew = FIRST_CREW,
): Promise<string> {
  const pondId = (await pondHref(desk, pond)).split('/')[2]
  const { crewId, today } = await crewOf(desk, crew)
  const answer = await desk.request.post('/api/v1/visits', {
    data: { pondId, visitType, day: today, startTime, crewId, note: '' },
  })
  expect(answer.status(), await answer.text()).toBe(200)
  return `/field?visit=${(await answer.json()).id}`
}

/** The crew of the lead who signs in by role. */
const FIRST_CREW = PEOPLE.find((p) => p.role === 'crew-lead')!.crew!
