import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { request, type APIRequestContext } from '@playwright/test'
import { expect, test } from './drivers/test'
import knexFactory from 'knex'
import { DEMO_PASSWORD } from '../../demo/people'
import { ROLES, type Role } from '../../src/domain/people/roles'
import { ROUTES, type Ids, type RouteRule } from './access-table'
import { emailOf } from './drivers/sign-in'

const app = join(process.cwd(), 'src', 'app')

function routesOnDisk(folder = app, route: string[] = []): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory())
      return routesOnDisk(join(folder, entry.name), entry.name.startsWith('(') ? route : [...route, entry.name])
    if (entry.name === 'page.tsx') return [`GET ${route.join('/')}`]
    if (entry.name !== 'route.ts') return []
    return [
      ...readFileSync(join(folder, entry.name), 'utf8').matchAll(
        /export (?:const|async function|function) (GET|POST|PUT|DELETE|PATCH)\b/g,
      ),
    ].map((m) => `${m[1]} ${route.join('/')}`)
  })
}

const addressOf = ({ route, query = '' }: RouteRule, ids: Ids) =>
  `/${route
    .replace('[pondId]', ids.pondId)
    .replace('[z]/[x]/[y]', '3/4/2')
    .replace('[visitId]', ids.visitId)
    .replace('[photoId]', ids.photoId)
    .replace('[designId]', ids.designId)
    .replace('[proposalId]', ids.proposalId)
    .replace('[runId]', ids.runId)
    .replace('[day]', '2030-03-20')
    .replace('[crewId]', ids.crewId)
    .replace('[pumpId]', 'own:not-there')
    .replace('[name]', 'water.doSaturation')
    .replace('[key]', 'netting')
    .replace('[file]', 'guess.ics')
    .replace('[stationId]', 'ferrygate')
    .replace(
      /\[(equipment|followUp|notice|feed|customer|site|period|finding|device|item|key|patch|whatIf|diagnosis|game|user|takeover)Id\]/,
      '00000000-0000-4000-8000-000000000000',
    )}${query}`

const call = (context: APIRequestContext, rule: RouteRule, ids: Ids) =>
  context.fetch(addressOf(rule, ids), {
    method: rule.method,
    maxRedirects: 0,
    ...(rule.method === 'GET' ? {} : { data: rule.body?.(ids) ?? {} }),
  })

let own: Ids
let other: Ids
let signedIn: Record<Role, APIRequestContext>

test.beforeAll(async ({ baseURL }) => {
  const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
  const photo = await owner('photos as f')
    .join('visits as v', 'v.id', 'f.visit_id')
    .first('f.id as photoId', 'v.id as visitId', 'v.pond_id as pondId')
  const design = await owner('designs').first('id as designId')
  // after a failure these are made anew, beside what the first run made
  const number = 900 + (Date.now() % 1_000_000)
  // a proposal of our own and, below, one of the other firm
  const { rows: made } = await owner.raw(`
    insert into proposals (id, firm_id, pond_id, number, state, content, valid_until, token_hash, made_by)
    select gen_random_uuid(), d.firm_id, d.pond_id, ${number}, 'withdrawn', '{"title":"Access test","currency":"EUR","options":[{"totalMinor":100}]}', '2099-01-01', 'own-${number}', d.saved_by from designs d limit 1
    returning id as "proposalId"`)
  const { rows: runs } = await owner.raw(`
    insert into plan_runs (id, firm_id, state, wish, asked_by, asked_at)
    select gen_random_uuid(), d.firm_id, 'stopped', '{}', d.saved_by, '2020-01-01' from designs d limit 1 returning id as "runId"`)
  const crew = await owner('crews').first('id as crewId')
  own = { ...photo, ...design, ...made[0], ...runs[0], ...crew }
  // another firm with things of its own, written past the wall by the owner of the tables
  const { rows } = await owner.raw(`
    with f as (insert into firms (id, name, time_zone, rules) values (gen_random_uuid(), 'Other firm', 'Etc/UTC', '{}') returning id),
      c as (insert into customers (id, firm_id, name) select gen_random_uuid(), id, 'Theirs' from f returning id, firm_id),
      s as (insert into sites (id, firm_id, customer_id, name, station_id) select gen_random_uuid(), firm_id, id, 'Theirs', 'ferrygate' from c returning id, firm_id),
      p as (insert into ponds (id, firm_id, site_id, name, survey, volume_m3, area_m2) select gen_random_uuid(), s.firm_id, s.id, 'Theirs', o.survey, 5, 8 from s, (select survey from ponds limit 1) o returning id, firm_id),
      k as (insert into crews (id, firm_id, name) select gen_random_uuid(), id, 'Theirs' from f returning id),
      v as (insert into visits (id, firm_id, pond_id, crew_id, state, day, start_time, planned_minutes, job_key, job_name, job, quantities, duration) select gen_random_uuid(), p.firm_id, p.id, k.id, 'done', '2026-01-05', '08:00', 60, 'spring-cleanout', 'Spring cleanout', o.job, o.quantities, o.duration from p, k, (select job, quantities, duration from visits limit 1) o returning id, firm_id, pond_id),
      i as (insert into photos (id, firm_id, visit_id, step_key, width, height, image, thumbnail, taken_at) select gen_random_uuid(), firm_id, id, 'arrive-photos', 1, 1, '\\x00', '\\x00', now() from v returning id, visit_id),
      u as (insert into users (id, firm_id, email, name, role, password_hash) select gen_random_uuid(), id, 'theirs-${number}@other.example', 'Theirs', 'owner', 'x' from f returning id),
      d as (insert into designs (id, firm_id, pond_id, number, name, bed, area_m2, flow_m3_per_h, saved_by) select gen_random_uuid(), p.firm_id, p.id, 1, 'Theirs', o.bed, 1, 1, u.id from p, u, (select bed from designs limit 1) o returning id),
      q as (insert into proposals (id, firm_id, pond_id, number, state, content, valid_until, token_hash, made_by) select gen_random_uuid(), p.firm_id, p.id, 1, 'sent', '{"title":"Theirs","currency":"EUR","options":[{"totalMinor":100}]}', '2099-01-01', 'theirs-${number}', u.id from p, u returning id),
      r as (insert into plan_runs (id, firm_id, state, wish, asked_by) select gen_random_uuid(), p.firm_id, 'stopped', '{}', u.id from p, u returning id)
    select r.id as "runId", k.id as "crewId", i.id as "photoId", v.id as "visitId", v.pond_id as "pondId", d.id as "designId", q.id as "proposalId" from i, v, d, q, r, k`)
  other = rows[0]
  await owner.destroy()
  signedIn = Object.fromEntries(
    await Promise.all(
      ROLES.map(async (role) => {
        const context = await request.newContext({ baseURL })
        expect(
          (await context.post('/api/v1/sign-in', { data: { email: emailOf(role), password: DEMO_PASSWORD } })).status(),
        ).toBe(200)
        return [role, context] as const
      }),
    ),
  ) as Record<Role, APIRequestContext>
})

test('every page and route is in the table, and nothing else', () => {
  expect(routesOnDisk().sort()).toEqual(ROUTES.map((r) => `${r.method} ${r.route}`).sort())
})

for (const rule of ROUTES.filter((r) => r.allowed !== 'open' && r.route !== 'api/v1/sign-out'))
  test(`${rule.method} /${rule.route}: rights, sign-in and the other firm`, async ({ baseURL }) => {
    const isApi = rule.route.startsWith('api/')
    const stranger = await request.newContext({ baseURL })
    const signedOut = await call(stranger, rule, own)
    expect(signedOut.status(), 'signed out').toBe(isApi ? 401 : 307)
    if (!isApi) expect(signedOut.headers().location).toBe('/sign-in')

    for (const role of ROLES) {
      const answer = await call(signedIn[role], rule, own)
      const turnedAway = answer.status() === 403 || answer.headers().location === '/not-allowed'
      const parsedBeforeRights = answer.status() === 422 && rule.route === 'api/v1/people'
      expect(turnedAway || parsedBeforeRights, `${role}: ${answer.status()}`).toBe(
        !(rule.allowed as readonly Role[]).includes(role) || parsedBeforeRights,
      )
      expect(answer.status(), role).toBeLessThan(500)
    }
  })

/** Routes of things that the other firm has too. */
const OF_A_THING = /\[(pond|visit|photo|design|proposal|run|crew)Id\]/
for (const rule of ROUTES.filter((r) => r.allowed !== 'open' && OF_A_THING.test(r.route)))
  test(`${rule.method} /${rule.route}: nothing of the other firm, not even that it is there`, async () => {
    const theirs = await call(signedIn.owner, rule, other)
    expect([404, 422], `other firm: ${theirs.status()}`).toContain(theirs.status())
    expect(await theirs.text()).not.toContain('Theirs')
  })

test('where pages stood before leads on: links in letters and bookmarks are not lost', async ({ baseURL }) => {
  const context = await request.newContext({ baseURL })
  for (const [was, is] of [
    ['/garden/t0ken/visits/v1', '/customer-page/t0ken/visits/v1'],
    ['/api/v1/garden/t0ken/photos/p1', '/api/v1/customer-page/t0ken/photos/p1'],
    ['/offer/t0ken', '/proposal/t0ken'],
    ['/api/v1/offers/t0ken/proposal.pdf', '/api/v1/proposal/t0ken/proposal.pdf'],
    ['/letters', '/messages'],
    ['/practice/jobs/routine', '/visit-types/routine'],
    ['/practice-pond/g1', '/trainer/g1'],
    ['/water', '/forecasts'],
    ['/ponds/p1/outlook', '/ponds/p1/forecast'],
  ] as const) {
    const answer = await context.get(was, { maxRedirects: 0 })
    expect([was, answer.status(), answer.headers().location]).toEqual([was, 308, is])
  }
})

test('signing out ends the session', async ({ baseURL }) => {
  const context = await request.newContext({ baseURL })
  await context.post('/api/v1/sign-in', { data: { email: emailOf('office'), password: DEMO_PASSWORD } })
  expect((await context.get('/ponds', { maxRedirects: 0 })).status()).toBe(200)
  await context.post('/api/v1/sign-out', { data: {} })
  expect((await context.get('/ponds', { maxRedirects: 0 })).status()).toBe(307)
})

test('the session cookie is out of reach of scripts and other sites', async ({ baseURL }) => {
  const context = await request.newContext({ baseURL })
  const answer = await context.post('/api/v1/sign-in', { data: { email: emailOf('office'), password: DEMO_PASSWORD } })
  expect(answer.headers()['set-cookie']).toMatch(/HttpOnly/i)
  expect(answer.headers()['set-cookie']).toMatch(/SameSite=lax/i)
})
