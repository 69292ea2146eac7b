// Runs a TypeScript entry point of heavy computation as one bundle, as browsers and the built app get it:
// loaded file by file, hot calls between modules cost several times more.
import { mkdirSync } from 'node:fs'
import { inRoot } from './paths.mjs'
import { run } from './processes.mjs'

/** @returns what `run` returns: exit code and output */
export async function runBundled(entry, args = [], options = {}) {
  const { build } = await import('esbuild')
  const folder = inRoot('node_modules', '.cache', 'slow-reed')
  mkdirSync(folder, { recursive: true })
  const outfile = `${folder}/${entry.replace(/[^a-z0-9]+/gi, '-')}-${process.pid}.mjs`
  await build({
    entryPoints: [inRoot(entry)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    logLevel: 'error',
  })
  return run(process.execPath, [outfile, ...args], options)
}
