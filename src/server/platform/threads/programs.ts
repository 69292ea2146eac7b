import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'

/** Threads of the server and its worker, with their sources; the build makes a file of each (scripts/lib/build.mjs). */
const SOURCES = {
  'heavy-thread': 'src/server/platform/threads/heavy-thread.ts',
  'forecast-thread': 'src/server/forecasts/forecast-thread.ts',
  'plan-thread': 'src/server/schedule/plan-thread.ts',
} as const
export type ThreadName = keyof typeof SOURCES

export interface ThreadProgram {
  readonly filename: string
  readonly execArgv?: string[]
}

/**
 * The folder of the build that runs; none while developing, for what was built some day is not what is being worked
 * on.
 */
const builtIn = (): string | undefined =>
  process.env.NEXT_DIST_DIR ?? (process.env.NODE_ENV === 'production' ? '.next' : undefined)

/** A program in TypeScript, for developing and tests. */
export const sourceProgram = (path: string): ThreadProgram => ({
  filename: pathToFileURL(join(process.cwd(), path)).href,
  execArgv: ['--import', 'tsx'],
})

/**
 * What a thread runs: what the build made of it, or its source. Bundled, computing is several times as fast as file by
 * file.
 */
export function threadProgram(name: ThreadName): ThreadProgram {
  const folder = builtIn()
  const built = folder && join(process.cwd(), folder, 'programs', `${name}.mjs`)
  if (built && existsSync(built)) return { filename: pathToFileURL(built).href }
  return sourceProgram(SOURCES[name])
}
