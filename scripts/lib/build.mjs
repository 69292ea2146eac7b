import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { inRoot } from './paths.mjs'
import { runOrStop } from './processes.mjs'
import { progress } from './say.mjs'
import { buildServiceWorker } from './service-worker.mjs'

const SOURCES = [
  'src',
  'stand-ins',
  'public',
  'next.config.ts',
  'scripts/lib/service-worker.mjs',
  'scripts/lib/build.mjs',
  'scripts/migrate.ts',
  'package-lock.json',
  'tsconfig.json',
]

function* files(path) {
  if (!existsSync(path)) return
  if (!statSync(path).isDirectory()) return void (yield path)
  for (const name of readdirSync(path).sort()) yield* files(join(path, name))
}

function sourceHash() {
  const hash = createHash('sha256')
  for (const source of SOURCES)
    for (const file of files(inRoot(source)))
      if (!/\.test\.tsx?$/.test(file)) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

/** What runs beside the app: the worker, threads that compute, migrations, and what stands in for others. */
const PROGRAMS = {
  worker: 'src/server/worker.ts',
  'forecast-thread': 'src/server/forecasts/forecast-thread.ts',
  'plan-thread': 'src/server/schedule/plan-thread.ts',
  'heavy-thread': 'src/server/platform/threads/heavy-thread.ts',
  migrate: 'scripts/migrate.ts',
  'weather-desk': 'stand-ins/weather-desk/server.ts',
  roads: 'stand-ins/roads/server.ts',
  outbox: 'stand-ins/outbox/server.ts',
  'pond-probes': 'stand-ins/pond-probes/server.ts',
}
const MIGRATIONS = 'src/server/platform/db/migrations'

/** A program as the build made it. */
export const builtProgram = (distDir, name) => inRoot(distDir, 'programs', `${name}.mjs`)

/**
 * How node starts a program.
 * @param distDir the build it is of; null while developing: from its source
 */
export const programArgs = (distDir, name) =>
  distDir ? [builtProgram(distDir, name)] : ['--import', 'tsx', inRoot(PROGRAMS[name])]

/** Each program as one file beside the app: it starts at once, and hot calls between modules cost nothing. */
async function buildPrograms(distDir) {
  const { build } = await import('esbuild')
  await build({
    entryPoints: {
      ...Object.fromEntries(Object.entries(PROGRAMS).map(([name, source]) => [name, inRoot(source)])),
      // one file each: what has run is known by its name
      ...Object.fromEntries(
        readdirSync(inRoot(MIGRATIONS))
          .filter((file) => /^\d{3}-.*\.ts$/.test(file))
          .map((file) => [`migrations/${file.slice(0, -'.ts'.length)}`, inRoot(MIGRATIONS, file)]),
      ),
    },
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    jsx: 'automatic',
    entryNames: '[dir]/[name]',
    outExtension: { '.js': '.mjs' },
    outdir: inRoot(distDir, 'programs'),
    logLevel: 'error',
  })
}

/**
 * next build into a folder, when the sources are not the ones that were built.
 * @param typesCheckedApart the caller checks the types itself
 */
export async function ensureBuild(distDir = '.next', { typesCheckedApart = false } = {}) {
  const stamp = inRoot(distDir, 'slow-reed-sources')
  const wanted = sourceHash()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  progress('Building the app; a minute or two.')
  await runOrStop(
    'The build failed',
    process.execPath,
    [inRoot('node_modules', 'next', 'dist', 'bin', 'next'), 'build'],
    {
      quiet: true,
      env: {
        NEXT_DIST_DIR: distDir,
        NODE_ENV: 'production',
        NEXT_TELEMETRY_DISABLED: '1',
        TYPES_CHECKED_APART: typesCheckedApart ? 'yes' : 'no',
      },
    },
  )
  await buildServiceWorker(distDir)
  await buildPrograms(distDir)
  writeFileSync(stamp, wanted)
}
