// npm run demo: everything from a fresh clone to a running app with the demo firm. --reset rebuilds the demo data.
import { assertNode, ensurePackages } from './lib/packages.mjs'
import { ensureBuild } from './lib/build.mjs'
import { ensureDebian } from './lib/debian.mjs'
import { demoProbes, loadDemo, openDatabase } from './lib/database.mjs'
import { endAll } from './lib/processes.mjs'
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { inRoot } from './lib/paths.mjs'
import { runMain, say } from './lib/say.mjs'
import {
  startApp,
  startOutbox,
  startProbes,
  startRoads,
  startWeatherDesk,
  keepWorker,
  untilStopped,
  wantedPort,
} from './lib/serve.mjs'

/** Stands while the demo data is loaded: a start that finds it begins again from empty. */
const loading = inRoot('.slow-reed', 'demo-loading')

const PROBE_HOURS = 48
const DIST = '.next'

await runMain(async () => {
  assertNode()
  const port = await wantedPort()
  if (!process.env.DATABASE_URL) await ensureDebian(['postgresql'])
  await ensurePackages()
  await ensureBuild()
  const database = await openDatabase({
    distDir: DIST,
    reset: process.argv.includes('--reset') || (existsSync(loading) && !process.env.DATABASE_URL),
  })
  try {
    const weatherUrl = await startWeatherDesk(DIST)
    mkdirSync(inRoot('.slow-reed'), { recursive: true })
    writeFileSync(loading, '')
    const signIns = await loadDemo(database.appUrl, { weatherUrl, quiet: true })
    rmSync(loading)
    const roadsUrl = await startRoads(DIST)
    const mailUrl = await startOutbox(DIST)
    await keepWorker({ appUrl: database.appUrl, weatherUrl, roadsUrl, mailUrl, distDir: DIST })
    const app = await startApp({ port, appUrl: database.appUrl, weatherUrl, roadsUrl })
    const probesUrl = await startProbes(DIST, {
      appAddress: app.address,
      ...(await demoProbes(database.appUrl)),
    })
    // what they gathered before the app was there
    await fetch(`${probesUrl}/send?hours=${PROBE_HOURS}`, { method: 'POST' })
    say(
      `\nSlow Reed is at  ${app.address}\nLetters to customers end in the outbox at  ${mailUrl}\n\n${signIns.trim()}\n\nCtrl-C stops it.`,
    )
    await untilStopped(app, database.close)
  } catch (error) {
    await endAll()
    await database.close()
    throw error
  }
})
