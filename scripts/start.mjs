// npm start: serves the app without demo data; the first visitor of an empty database opens the firm.
import { assertNode, ensurePackages } from './lib/packages.mjs'
import { ensureBuild } from './lib/build.mjs'
import { ensureDebian } from './lib/debian.mjs'
import { openDatabase } from './lib/database.mjs'
import { endAll } from './lib/processes.mjs'
import { runMain, say } from './lib/say.mjs'
import {
  startApp,
  startOutbox,
  startRoads,
  startWeatherDesk,
  keepWorker,
  untilStopped,
  wantedPort,
} from './lib/serve.mjs'

const dev = process.argv.includes('--dev')

await runMain(async () => {
  assertNode()
  const port = await wantedPort()
  if (!process.env.DATABASE_URL) await ensureDebian(['postgresql'])
  await ensurePackages()
  if (!dev) await ensureBuild()
  const programs = dev ? null : '.next'
  const database = await openDatabase({ distDir: programs })
  try {
    const weatherUrl = process.env.WEATHER_DESK_URL ?? (await startWeatherDesk(programs))
    const roadsUrl = process.env.ROADS_URL ?? (await startRoads(programs))
    const mailUrl = process.env.MAIL_URL ?? (await startOutbox(programs))
    const simulated = ['WEATHER_DESK_URL', 'ROADS_URL', 'MAIL_URL'].filter(
      (name) => !process.env[name] && process.env[name] !== '',
    )
    const built = { mode: dev ? 'dev' : 'start', distDir: dev ? '.next-dev' : '.next' }
    await keepWorker({ appUrl: database.appUrl, weatherUrl, roadsUrl, mailUrl, ...built, toStdout: true })
    const app = await startApp({
      port,
      appUrl: database.appUrl,
      weatherUrl,
      roadsUrl,
      ...built,
      simulated,
      toStdout: true,
    })
    const outbox = process.env.MAIL_URL
      ? ''
      : `\nLetters to customers are not sent: they end in the outbox at  ${mailUrl}`
    const words = simulated.length > 0 ? `\nSimulated until they are set: ${simulated.join(', ')} (see README)` : ''
    say(`\nSlow Reed is at  ${app.address}${outbox}${words}\n\nCtrl-C stops it.`)
    await untilStopped(app, database.close)
  } catch (error) {
    await endAll()
    await database.close()
    throw error
  }
})
