import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { Worker, type WorkerOptions } from 'node:worker_threads'

/** Threads of the server and its worker, with their sources; the build makes a file of each (scripts/lib/build.mjs). */
const SOURCES = {
  'heavy-thread': 'src/server/platform/threads/heavy-thread.ts',
  'forecast-thread': 'src/server/forecasts/forecast-thread.ts',
  'plan-thread': 'src/server/schedule/plan-thread.ts',
} as const
export type ThreadName = keyof typeof SOURCES

/**
 * A thread from a TypeScript file. It does not take over how this process reads TypeScript, so it registers that
 * first.
 */
export const sourceThread = (href: string, options: WorkerOptions = {}): Worker =>
  new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(href)}) })`, {
    ...options,
    eval: true,
  })

/** A thread from a file that the build made. The bundler of the app must not look for it: it is not there yet. */
const builtThread = (href: string, options: WorkerOptions): Worker =>
  new Worker(`import(${JSON.stringify(href)})`, { ...options, eval: true })

/**
 * The folder of the build that runs; none while developing, for what was built some day is not what is being worked
 * on.
 */
const builtIn = (): string | undefined =>
  process.env.NEXT_DIST_DIR ?? (process.env.NODE_ENV === 'production' ? '.next' : undefined)

/**
 * A thread of the app's own: what the build made of it, or its source. Bundled, computing is several times as fast as
 * file by file.
 */
export function ownThread(name: ThreadName, options: WorkerOptions = {}): Worker {
  const folder = builtIn()
  const built = folder && join(process.cwd(), folder, 'programs', `${name}.mjs`)
  if (built && existsSync(built)) return builtThread(pathToFileURL(built).href, options)
  return sourceThread(pathToFileURL(join(process.cwd(), SOURCES[name])).href, options)
}
