// Runs a TypeScript entry point of heavy computation as one bundle, as browsers and the built app get it:
// loaded file by file, hot calls between modules cost several times more.
import { mkdirSync } from 'node:fs'
import { inRoot } from './paths.mjs'
import { run, runOrStop } from './processes.mjs'

/** @returns the file that the entry point and all it needs of ours became; packages stay where they are */
async function bundled(entry) {
  const { build } = await import('esbuild')
  const folder = inRoot('node_modules', '.cache', 'slow-reed')
  mkdirSync(folder, { recursive: true })
  const outfile = `${folder}/${entry.replace(/[^a-z0-9]+/gi, '-')}-${process.pid}.mjs`
  await build({
    entryPoints: [inRoot(entry)],
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    jsx: 'automatic',
    outfile,
    logLevel: 'error',
  })
  return outfile
}

/** @returns what `run` returns: exit code and output */
export const runBundled = async (entry, args = [], options = {}) =>
  run(process.execPath, [await bundled(entry), ...args], options)

/** Stops everything with a line to read where the run fails. @returns its output */
export const runBundledOrStop = async (line, entry, options = {}) =>
  runOrStop(line, process.execPath, [await bundled(entry)], options)
