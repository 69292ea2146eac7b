// npm start: serves the app without demo data; the first visitor of an empty database opens the firm.
import { assertNode, ensurePackages } from './lib/packages.mjs'
import { ensureBuild } from './lib/build.mjs'
import { ensureDebian } from './lib/debian.mjs'
import { openDatabase } from './lib/database.mjs'
import { endAll } from './lib/processes.mjs'
import { runMain, say } from './lib/say.mjs'
import { startApp, startOutbox, startRoads, startWeatherDesk, startWorker, untilStopped, wantedPort } from './lib/serve.mjs'

const dev = process.argv.includes('--dev')

await runMain(async () => {
  assertNode()
  const port = await wantedPort()
  if (!process.env.DATABASE_URL) await ensureDebian(['postgresql'])
  await ensurePackages()
  if (!dev) await ensureBuild()
  const database = await openDatabase()
  try {
    const weatherUrl = process.env.WEATHER_DESK_URL ?? (await startWeatherDesk())
    const roadsUrl = process.env.ROADS_URL ?? (await startRoads())
    const mailUrl = process.env.MAIL_URL ?? (await startOutbox())
    await startWorker({ appUrl: database.appUrl, weatherUrl, roadsUrl, mailUrl })
    const app = await startApp({ port, appUrl: database.appUrl, weatherUrl, roadsUrl, mode: dev ? 'dev' : 'start', distDir: dev ? '.next-dev' : '.next' })
    say(`\nSlow Reed is at  ${app.address}\n\nCtrl-C stops it.`)
    await untilStopped(app, database.close)
  } catch (error) {
    await endAll()
    await database.close()
    throw error
  }
})
