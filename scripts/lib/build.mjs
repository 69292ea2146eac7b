import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { inRoot } from './paths.mjs'
import { runOrStop } from './processes.mjs'
import { progress } from './say.mjs'
import { buildServiceWorker } from './service-worker.mjs'

const SOURCES = [
  'src',
  'public',
  'next.config.ts',
  'scripts/lib/service-worker.mjs',
  'scripts/lib/build.mjs',
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

/** What runs beside the app: the worker, and the threads of both that compute. */
const PROGRAMS = [
  'server/worker',
  'server/forecasts/forecast-thread',
  'server/schedule/plan-thread',
  'server/platform/threads/heavy-thread',
]

/** Each program as one file beside the app: it starts at once, and hot calls between modules cost nothing. */
async function buildPrograms(distDir) {
  const { build } = await import('esbuild')
  await build({
    entryPoints: PROGRAMS.map((program) => inRoot('src', `${program}.ts`)),
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    jsx: 'automatic',
    entryNames: '[name]',
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
