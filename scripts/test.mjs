// npm test: its own set-up, then lint, types, architecture, Jest and Playwright. Ends with "N passed, N failed".
// A part alone while working: npm test -- checks | jest [pattern…] | browser [spec…]
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { ensureBuild } from './lib/build.mjs'
import { migrate, loadDemo } from './lib/database.mjs'
import { ensureDebian, wishDebian } from './lib/debian.mjs'
import { assertNode, ensurePackages } from './lib/packages.mjs'
import { inRoot } from './lib/paths.mjs'
import { freePort } from './lib/ports.mjs'
import { startPostgres } from './lib/postgres.mjs'
import { endAll, run } from './lib/processes.mjs'
import { runMain, say } from './lib/say.mjs'
import { startApp, startOutbox, startRoads, startWeatherDesk, startWorker } from './lib/serve.mjs'

const FOLDER = '.slow-reed-test'
const DIST = '.next-test'
const node = process.execPath
const bin = (name) => inRoot('node_modules', '.bin', name)
const totals = { passed: 0, failed: 0 }
const [part, ...patterns] = process.argv.slice(2)
const asked = (name) => part === undefined || part === name

/** A check that passes or fails as one. */
async function check(name, command, args, options = {}) {
  const started = Date.now()
  const { code, output } = await run(command, args, { quiet: true, ...options })
  totals[code === 0 ? 'passed' : 'failed']++
  say(`${code === 0 ? 'ok  ' : 'FAIL'} ${name} (${((Date.now() - started) / 1000).toFixed(0)} s)`)
  if (code !== 0) process.stdout.write(output)
}

/** Does a part and says how long it took: the whole has a limit, and what eats it should be seen. */
async function timed(name, work) {
  const started = Date.now()
  await work()
  say(`${name}: ${((Date.now() - started) / 1000).toFixed(0)} s`)
}

function readJson(file) {
  try {
    return JSON.parse(readFileSync(inRoot(FOLDER, file), 'utf8'))
  } catch {
    return null
  }
}

async function jest(env) {
  await run(
    node,
    [
      inRoot('node_modules', 'jest', 'bin', 'jest.js'),
      '--maxWorkers=2',
      '--json',
      `--outputFile=${inRoot(FOLDER, 'jest.json')}`,
      ...patterns,
    ],
    {
      env,
    },
  )
  const result = readJson('jest.json')
  // a suite that cannot even load has no tests to count
  totals.passed += result?.numPassedTests ?? 0
  totals.failed += result ? result.numFailedTests + result.numRuntimeErrorTestSuites : 1
}

async function playwright(env) {
  await run(bin('playwright'), ['test', ...patterns], { env })
  const stats = readJson('playwright.json')?.stats
  totals.passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0)
  totals.failed += stats ? stats.unexpected + stats.skipped : 1
  if (stats?.flaky)
    say(`${stats.flaky} of the browser tests needed a second try: look at them above before the next change.`)
}

/** The demo firm, the stand-ins, a worker and two apps (one on an empty database), then the browser tests. */
async function browser(cluster, weatherUrl, env) {
  say('Loading the demo firm for the browser tests.')
  await loadDemo(cluster.appUrl('e2e'), { weatherUrl, quiet: true, storiesOnly: true })
  const roadsUrl = await startRoads(DIST)
  const mailUrl = await startOutbox(DIST)
  await startWorker({ appUrl: cluster.appUrl('e2e'), weatherUrl, roadsUrl, mailUrl, distDir: DIST })
  const app = await startApp({
    port: await freePort(),
    appUrl: cluster.appUrl('e2e'),
    weatherUrl,
    roadsUrl,
    distDir: DIST,
  })
  // as if on another machine: same database, another app and another worker
  const twin = await startApp({
    port: await freePort(),
    appUrl: cluster.appUrl('e2e'),
    weatherUrl,
    roadsUrl,
    distDir: DIST,
  })
  await startWorker({ appUrl: cluster.appUrl('e2e'), weatherUrl, roadsUrl, mailUrl, distDir: DIST })
  const empty = await startApp({ port: await freePort(), appUrl: cluster.appUrl('empty'), weatherUrl, distDir: DIST })
  await playwright({
    ...env,
    BASE_URL: app.address,
    ROADS_URL: roadsUrl,
    TWIN_BASE_URL: twin.address,
    EMPTY_BASE_URL: empty.address,
    OWNER_DATABASE_URL: cluster.ownerUrl('e2e'),
    APP_DATABASE_URL: cluster.appUrl('e2e'),
    WEATHER_DESK_URL: weatherUrl,
    MAIL_URL: mailUrl,
  })
}

/** Types, lint and the order of the folders. */
async function checks(env) {
  const types = async () => {
    await check('types', node, [bin('tsc'), '--noEmit'], { env })
    await check('types of the core (no DOM, no Node)', node, [bin('tsc'), '--noEmit', '-p', 'src/core/tsconfig.json'], {
      env,
    })
    await check('plan: three hard weeks of 480 ponds', node, [inRoot('scripts', 'hard-weeks.mjs')], { env })
    await check(
      'bands and likelihoods against simulated truth',
      node,
      [inRoot('scripts', 'uncertainty-report.mjs'), '4', 'dry'],
      { env },
    )
  }
  const style = async () => {
    await check('lint', node, [bin('eslint'), '--max-warnings=0', '.'], { env })
    await check('architecture', node, [bin('depcruise'), 'src', 'demo', 'stand-ins'], { env })
    await check(
      'pond simulator: behaviours over the priors',
      node,
      [inRoot('scripts', 'ecosystem-report.mjs'), '16', 'dry'],
      { env },
    )
  }
  // each has one thread: two at a time
  await Promise.all([types(), style()])
}

await runMain(async () => {
  assertNode()
  if (part !== undefined && !['checks', 'jest', 'browser'].includes(part))
    throw new Error(`There is no part "${part}": say checks, jest or browser, or nothing for all of them.`)
  await ensureDebian(['postgresql', 'chromium', 'poppler-utils'])
  if (asked('browser')) await wishDebian('chromium-headless-shell', '/usr/bin/chromium-headless-shell')
  await ensurePackages()
  mkdirSync(inRoot(FOLDER), { recursive: true })
  for (const file of ['jest.json', 'playwright.json']) rmSync(inRoot(FOLDER, file), { force: true })
  const env = { NEXT_DIST_DIR: DIST, NEXT_TELEMETRY_DISABLED: '1' }

  await timed('build', () => ensureBuild(DIST, { typesCheckedApart: true }))
  const cluster = await startPostgres(FOLDER, { durable: false })
  try {
    for (const name of ['unit', 'workers', 'e2e', 'empty']) {
      await cluster.ensureDatabase(name, { fresh: true })
      await migrate(cluster.ownerUrl(name), cluster.appPassword, DIST)
    }
    const weatherUrl = await startWeatherDesk(DIST)
    if (asked('checks')) await timed('checks', () => checks(env))
    const unit = {
      ...env,
      OWNER_DATABASE_URL: cluster.ownerUrl('unit'),
      APP_DATABASE_URL: cluster.appUrl('unit'),
      WEATHER_DESK_URL: weatherUrl,
      TZ: 'UTC',
    }
    if (asked('jest')) await timed('Jest', () => jest(unit))
    if (asked('browser')) await timed('browser', () => browser(cluster, weatherUrl, env))
  } finally {
    await endAll()
    await cluster.stop()
  }
  say(`\n${totals.passed} passed, ${totals.failed} failed`)
  if (totals.failed > 0 || totals.passed === 0) process.exitCode = 1
})
process.exit(process.exitCode ?? 0)
