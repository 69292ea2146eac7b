// npm run -s bench: one JSON object per line. Its own database and app, 500 sites; numbers are this machine's.
// A part alone: npm run -s bench -- core | ecosystem | pages | field | attack
import { gzipSync } from 'node:zlib'
import { measureAttack } from './lib/bench-attack.mjs'
import { measureField } from './lib/bench-field.mjs'
import { ensureBuild } from './lib/build.mjs'
import { migrate, loadDemo } from './lib/database.mjs'
import { ensureDebian } from './lib/debian.mjs'
import { assertNode, ensurePackages } from './lib/packages.mjs'
import { inRoot } from './lib/paths.mjs'
import { freePort } from './lib/ports.mjs'
import { startPostgres } from './lib/postgres.mjs'
import { endAll, run } from './lib/processes.mjs'
import { runBundled } from './lib/run-bundled.mjs'
import { progress, runMain } from './lib/say.mjs'
import { startApp, startWeatherDesk } from './lib/serve.mjs'

const FOLDER = '.slow-reed-bench'
const SITES = 500
const MANY_SITES = 2000
const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
const print = (name, value, unit, n) =>
  process.stdout.write(`${JSON.stringify({ name, value: Number(value.toFixed(2)), unit, n })}\n`)
const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]

/** Copies the demo's ponds, seasons, visits and readings until the firm has so many sites. */
async function growTo(ownerUrl, wanted) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  await client.query(`
    create temp table made as
      select gen_random_uuid() as site_id, gen_random_uuid() as pond_id, p.id as from_pond, s.id as from_site, n
      from generate_series((select count(*)::int from sites) + 1, ${wanted}) n
      join lateral (select * from ponds where not name ~ '[0-9]$' order by md5(id::text || n) limit 1) p on true join sites s on s.id = p.site_id;
    insert into sites (id, firm_id, customer_id, name, address, town, access_notes, station_id)
      select m.site_id, s.firm_id, s.customer_id, s.name || ' ' || m.n, s.address, s.town, s.access_notes, s.station_id from made m join sites s on s.id = m.from_site;
    insert into ponds (id, firm_id, site_id, name, survey, volume_m3, area_m2)
      select m.pond_id, p.firm_id, m.site_id, p.name, p.survey, p.volume_m3, p.area_m2 from made m join ponds p on p.id = m.from_pond;
    insert into pond_seasons select m.pond_id, q.firm_id, q.input_hash, q.weekly_c, q.windows, q.season from made m join pond_seasons q on q.pond_id = m.from_pond;
    insert into readings (id, firm_id, pond_id, kind, value, below_step, method, taken_at, by_id)
      select gen_random_uuid(), r.firm_id, m.pond_id, r.kind, r.value, r.below_step, r.method, r.taken_at, r.by_id from made m join readings r on r.pond_id = m.from_pond;
    insert into visits (id, firm_id, pond_id, crew_id, state, day, start_time, planned_minutes, job_key, job_name, job, quantities, duration)
      select gen_random_uuid(), v.firm_id, m.pond_id, v.crew_id, v.state, v.day, v.start_time, v.planned_minutes, v.job_key, v.job_name, v.job, v.quantities, v.duration from made m join visits v on v.pond_id = m.from_pond;
    analyze;`)
  const { rows } = await client.query(
    `select (select count(*)::int from sites) as sites, (select p.id from ponds p join designs d on d.pond_id = p.id limit 1) as pond, (select id from visits where state = 'done' limit 1) as visit`,
  )
  await client.end()
  return rows[0]
}

async function signIn(address, who = 'maren') {
  const answer = await fetch(`${address}/api/v1/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: `${who}@tussock-tarn.example`, password: 'reed-and-water' }),
  })
  return answer.headers.get('set-cookie').split(';')[0]
}

async function timeRequests(address, path, cookie, n) {
  const times = []
  for (let i = 0; i < n; i++) {
    const started = performance.now()
    const answer = await fetch(address + path, { headers: { cookie } })
    await answer.arrayBuffer()
    if (answer.status !== 200) throw new Error(`${path} answered ${answer.status}`)
    times.push(performance.now() - started)
  }
  return times
}

/** Compressed size of the scripts that a page's own HTML asks for. */
async function scriptKb(address, path, cookie) {
  const html = await (await fetch(address + path, { headers: { cookie } })).text()
  const sources = [
    ...new Set(
      [...html.matchAll(/<script[^>]+src="([^"]+\.js[^"]*)"[^>]*>/g)]
        .filter((m) => !/nomodule/i.test(m[0]))
        .map((m) => m[1]),
    ),
  ]
  const sizes = await Promise.all(
    sources.map(
      async (source) => gzipSync(Buffer.from(await (await fetch(new URL(source, address))).arrayBuffer())).length,
    ),
  )
  return sizes.reduce((sum, size) => sum + size, 0) / 1000
}

async function measurePages(address, views, cookie) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: CHROMIUM_ARGS,
  })
  const [name, value] = cookie.split('=')
  for (const [view, path] of Object.entries(views)) {
    print(`page.${view}.js_kB`, await scriptKb(address, path, cookie), 'kB', 1)
    const times = []
    for (let i = 0; i < 3; i++) {
      const context = await browser.newContext()
      await context.addCookies([{ name, value, url: address }])
      const page = await context.newPage()
      const started = performance.now()
      await page.goto(address + path, { waitUntil: 'load' })
      await page.locator('h1').first().waitFor()
      times.push(performance.now() - started)
      await context.close()
    }
    print(`page.${view}.ready_ms`, quantile(times, 0.5), 'ms', times.length)
  }
  await browser.close()
}

/** A visit carried along its ribbon by keys and mouse: the slowest answer to a step, once its verdicts are there. */
async function measureVisitDrag(address, cookie) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_ARGS })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const [name, value] = cookie.split('=')
  await context.addCookies([{ name, value, url: address }])
  const page = await context.newPage()
  await page.goto(`${address}/season?year=${new Date().getUTCFullYear() + 1}`, { waitUntil: 'networkidle' })
  await page.getByLabel('Find').fill('Highcairn')
  const visit = page.getByRole('button', { name: /^Spring cleanout at Highcairn/ }).first()
  await visit.focus()
  await page.keyboard.press('Space')
  await page.keyboard.press('ArrowRight')
  await page.locator('.drag-note', { hasText: /fits|costs|saves|window|breaks/ }).waitFor()
  await watchInteractions(page)
  for (let i = 0; i < 40; i++) await page.keyboard.press(i % 3 === 2 ? 'ArrowLeft' : 'ArrowRight')
  await page.waitForTimeout(500)
  const slowest = await page.evaluate(() => window.slowest)
  await browser.close()
  print('season.drag_feedback_max_ms', Math.max(16, ...slowest), 'ms', 40)
}

/** From now on the page keeps how long each input took to show. */
const watchInteractions = (page) =>
  page.evaluate(() => {
    window.slowest = []
    new PerformanceObserver((list) => window.slowest.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'event',
      durationThreshold: 16,
      buffered: false,
    })
  })

/**
 * Long frames while the bed's length is changed forty times and a layer boundary is dragged: each answers within one
 * interaction.
 */
async function measureDrag(address, path, cookie) {
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_ARGS })
  const context = await browser.newContext()
  const [name, value] = cookie.split('=')
  await context.addCookies([{ name, value, url: address }])
  const page = await context.newPage()
  await page.goto(`${address}${path}?part=bed`, { waitUntil: 'networkidle' })
  const grip = page.locator('[role=slider] .grip').nth(2)
  await grip.waitFor()
  await watchInteractions(page)
  await grip.scrollIntoViewIfNeeded()
  const box = await grip.boundingBox()
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 0; i < 60; i++) await page.mouse.move(x, y - 12 * Math.sin(i / 6))
  await page.mouse.up()
  const slider = page.locator('[role=slider]').nth(2)
  await slider.focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press(i % 2 ? 'ArrowDown' : 'ArrowUp')
  await page.waitForTimeout(500)
  const slowest = await page.evaluate(() => window.slowest)
  await browser.close()
  print('design.interaction_max_ms', Math.max(16, ...slowest), 'ms', 80)
}

const [part] = process.argv.slice(2)
const asked = (name) => part === undefined || part === name

async function benchEcosystem() {
  const { code, output } = await runBundled('scripts/bench-ecosystem.ts', [], { quiet: true })
  process.stdout.write(output)
  if (code !== 0) throw new Error('The bench of the simulator failed')
}

async function benchCore() {
  const core = await run(process.execPath, ['--import', 'tsx', inRoot('scripts', 'bench-core.ts')], { quiet: true })
  process.stdout.write(core.output)
  if (core.code !== 0) throw new Error('The core bench failed')
}

async function benchPages(address, cluster, { sites, pond, visit }) {
  const cookie = await signIn(address)
  await timeRequests(address, '/', cookie, 10)
  print('http.today_p95_ms', quantile(await timeRequests(address, '/', cookie, 100), 0.95), 'ms', 100)
  print('http.season500_p95_ms', quantile(await timeRequests(address, '/season', cookie, 40), 0.95), 'ms', 40)
  print('data.sites', sites, 'sites', 1)
  await measureDrag(address, `/ponds/${pond}/design`, cookie)
  await measurePages(
    address,
    {
      people: '/people',
      today: '/',
      season: '/season',
      rounds: '/rounds',
      ponds: '/ponds',
      pond: `/ponds/${pond}`,
      survey: `/ponds/${pond}/survey`,
      design: `/ponds/${pond}/design`,
      plan: `/ponds/${pond}/plan`,
      field: '/field',
      report: `/visits/${visit}/report`,
    },
    cookie,
  )
  await measureVisitDrag(address, cookie)
  await growTo(cluster.ownerUrl('bench'), MANY_SITES)
  await timeRequests(address, '/season', cookie, 3)
  print('http.season2000_p95_ms', quantile(await timeRequests(address, '/season', cookie, 40), 0.95), 'ms', 40)
}

/** Twelve more visits of the day for the crew that is measured. */
async function growDay(ownerUrl) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  await client.query(`
    insert into visits (id, firm_id, pond_id, crew_id, state, day, start_time, planned_minutes, job_key, job_name, job, quantities, duration)
      select gen_random_uuid(), v.firm_id, p.id, v.crew_id, v.state, v.day, v.start_time, v.planned_minutes, v.job_key, v.job_name, v.job, v.quantities, v.duration
      from (select * from visits where state = 'planned' and day = current_date limit 1) v cross join (select id from ponds limit 12) p`)
  await client.end()
}

async function benchField(address, ownerUrl) {
  await growDay(ownerUrl)
  const { chromium } = await import('@playwright/test')
  const launch = () => chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_ARGS })
  const { openMs, answerMs, slowAnswerMs, photoMs, photosMs, syncMs, lines } = await measureField(
    launch,
    address,
    await signIn(address, 'hale'),
  )
  print('field.offlineOpen_ms', quantile(openMs, 0.5), 'ms', openMs.length)
  print('field.answer_p95_ms', quantile(answerMs, 0.95), 'ms', answerMs.length)
  print('field.answer4xSlow_p95_ms', quantile(slowAnswerMs, 0.95), 'ms', slowAnswerMs.length)
  print('field.photo_ms', photoMs, 'ms', 40)
  print('sync.photos40_s', photosMs / 1000, 's', 40)
  print('sync.day12_s', syncMs / 1000, 's', lines)
}

await runMain(async () => {
  assertNode()
  await ensureDebian(['postgresql', 'chromium'])
  await ensurePackages()
  await ensureBuild()
  if (asked('ecosystem')) await benchEcosystem()
  if (asked('core')) await benchCore()
  if (part === 'core' || part === 'ecosystem') return

  const cluster = await startPostgres(FOLDER)
  try {
    await cluster.ensureDatabase('bench', { fresh: true })
    await migrate(cluster.ownerUrl('bench'), cluster.appPassword, '.next')
    const weatherUrl = await startWeatherDesk('.next')
    await loadDemo(cluster.appUrl('bench'), { weatherUrl, quiet: true })
    const { sites, pond, visit } = await growTo(cluster.ownerUrl('bench'), SITES)
    const app = await startApp({ port: await freePort(), appUrl: cluster.appUrl('bench'), weatherUrl })
    if (asked('field')) await benchField(app.address, cluster.ownerUrl('bench'))
    if (asked('attack')) {
      const { times, statuses } = await measureAttack(app.address, await signIn(app.address, 'tamsy'))
      print('web.healthUnderAttack_p99_ms', quantile(times, 0.99), 'ms', times.length)
      progress(`The floods were answered ${JSON.stringify(statuses)}.`)
    }
    if (asked('pages')) await benchPages(app.address, cluster, { sites, pond, visit })
  } finally {
    await endAll()
    await cluster.stop()
  }
})
process.exit(process.exitCode ?? 0)
