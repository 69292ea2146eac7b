import { programArgs } from './build.mjs'
import { inRoot } from './paths.mjs'
import { freePort, isFree, waitForHttp } from './ports.mjs'
import { endAll, isEnding, startNode, waitForLine } from './processes.mjs'
import { say, stop } from './say.mjs'

export const DEFAULT_PORT = 4270

export async function wantedPort() {
  const port = Number(process.env.PORT ?? DEFAULT_PORT)
  if (!(await isFree(port)))
    stop(`Port ${port} is in use. Stop what uses it, or choose another:  PORT=${port + 1} npm run demo`)
  return port
}

/** The weather desk stand-in on a free port. @returns its address */
export async function startWeatherDesk(distDir) {
  const port = await freePort()
  const child = startNode(programArgs(distDir, 'weather-desk'), {
    label: 'weather',
    env: { PORT: String(port) },
  })
  await waitForHttp(`http://127.0.0.1:${port}/stations`, child)
  return `http://127.0.0.1:${port}`
}

/** The roads stand-in on a free port. @returns its address */
export async function startRoads(distDir) {
  const port = await freePort()
  const child = startNode(programArgs(distDir, 'roads'), {
    label: 'roads',
    env: { PORT: String(port) },
  })
  await waitForHttp(`http://127.0.0.1:${port}/roads.geojson`, child)
  return `http://127.0.0.1:${port}`
}

/** The outbox stand-in on a free port: letters are kept there to be looked at. @returns its address */
export async function startOutbox(distDir) {
  const port = await freePort()
  const child = startNode(programArgs(distDir, 'outbox'), {
    label: 'outbox',
    env: { PORT: String(port) },
  })
  await waitForHttp(`http://127.0.0.1:${port}/`, child)
  return `http://127.0.0.1:${port}`
}

/** Probes in some ponds on a free port; they post to the app with a key. @returns its address */
export async function startProbes(distDir, { appAddress, apiKey, ponds }) {
  const port = await freePort()
  const env = { PORT: String(port), APP_ADDRESS: appAddress, API_KEY: apiKey, PONDS: ponds.join(',') }
  const child = startNode(programArgs(distDir, 'pond-probes'), {
    label: 'probes',
    env,
  })
  await waitForHttp(`http://127.0.0.1:${port}/`, child)
  return `http://127.0.0.1:${port}`
}

/**
 * A worker that takes jobs from the queue, as the build made it, or from its source.
 * @returns its process once it listens
 */
export async function startWorker({
  appUrl,
  weatherUrl,
  roadsUrl,
  mailUrl,
  distDir,
  mode = 'start',
  toStdout = false,
}) {
  const child = startNode(programArgs(mode === 'dev' ? null : distDir, 'worker'), {
    label: 'worker',
    toStdout,
    env: {
      APP_DATABASE_URL: appUrl,
      WEATHER_DESK_URL: weatherUrl ?? '',
      ROADS_URL: roadsUrl ?? '',
      MAIL_URL: mailUrl ?? '',
      MAIL_FROM: process.env.MAIL_FROM ?? '',
      NEXT_DIST_DIR: distDir,
      NODE_ENV: 'production',
    },
  })
  await waitForLine(child, 'worker ready')
  return child
}

/** A worker that is started again when it dies, sooner or later, until everything ends. */
export async function keepWorker(options) {
  const child = await startWorker(options)
  child.on('close', () => void again(options, 1))
}

const MAX_WAIT_S = 60

async function again(options, waitS) {
  if (isEnding()) return
  say(`The worker ended by itself; it is started again in ${waitS} s.`)
  await new Promise((resolve) => setTimeout(resolve, waitS * 1000))
  if (isEnding()) return
  await keepWorker(options).catch(() => again(options, Math.min(MAX_WAIT_S, waitS * 2)))
}

/**
 * An idle connection is kept so long: a proxy that keeps its own for a minute would otherwise send the next request
 * into one that is just being closed, and somebody would read an error.
 */
const KEEP_ALIVE_MS = 75_000

/** The built app, or the development server. @returns address and process once it answers */
export async function startApp({
  port,
  appUrl,
  weatherUrl,
  roadsUrl,
  mode = 'start',
  distDir = '.next',
  simulated = [],
  toStdout = false,
}) {
  const next = inRoot('node_modules', 'next', 'dist', 'bin', 'next')
  const keep = mode === 'start' ? ['--keepAliveTimeout', String(KEEP_ALIVE_MS)] : []
  const child = startNode([next, mode, '-H', '127.0.0.1', '-p', String(port), ...keep], {
    label: 'app',
    toStdout,
    env: {
      APP_ADDRESS: `http://127.0.0.1:${port}`,
      SIMULATED: simulated.join(','),
      APP_DATABASE_URL: appUrl,
      WEATHER_DESK_URL: weatherUrl ?? '',
      ROADS_URL: roadsUrl ?? '',
      NEXT_DIST_DIR: distDir,
      NEXT_TELEMETRY_DISABLED: '1',
      NODE_ENV: mode === 'dev' ? 'development' : 'production',
    },
  })
  const address = `http://127.0.0.1:${port}`
  await waitForHttp(`${address}/api/v1/health`, child)
  return { address, child }
}

/** Keeps the script alive until Ctrl-C or the app's end, then ends everything in order. */
export async function untilStopped(app, close) {
  let ended = false
  const end = async (code) => {
    if (ended) return
    ended = true
    await endAll()
    await close()
    process.exit(code)
  }
  process.on('SIGINT', () => void end(0))
  process.on('SIGTERM', () => void end(0))
  app.child.on('close', () => {
    if (!ended) say(`The app ended by itself:\n${app.child.tail}`)
    void end(1)
  })
  await new Promise(() => {})
}
