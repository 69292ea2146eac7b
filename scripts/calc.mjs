// Calculations without database or server. The bundle is rebuilt only when a source is newer.
import { existsSync, mkdirSync, readdirSync, statSync } from 'node:fs'
import { inRoot } from './lib/paths.mjs'
import { pathToFileURL } from 'node:url'

const bundle = inRoot('.slow-reed', 'calc.mjs')

const newest = (folder) =>
  readdirSync(folder, { withFileTypes: true }).reduce((latest, entry) => {
    const path = `${folder}/${entry.name}`
    return Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs)
  }, 0)

const stale = () =>
  !existsSync(bundle) ||
  statSync(bundle).mtimeMs < Math.max(newest(inRoot('src', 'core')), newest(inRoot('src', 'calc')))

if (stale()) {
  if (!existsSync(inRoot('node_modules', 'esbuild'))) {
    process.stderr.write(
      `${JSON.stringify({ error: { code: 'not-installed', message: 'Packages are missing: run npm ci once.', path: '' } })}\n`,
    )
    process.exit(1)
  }
  mkdirSync(inRoot('.slow-reed'), { recursive: true })
  const { build } = await import('esbuild')
  await build({
    entryPoints: [inRoot('src', 'calc', 'cli.ts')],
    outfile: bundle,
    bundle: true,
    platform: 'node',
    format: 'esm',
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    logLevel: 'error',
  })
}
await import(pathToFileURL(bundle).href)
