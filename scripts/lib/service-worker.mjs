import { readdirSync, readFileSync } from 'node:fs'
import { join, relative, sep } from 'node:path'
import { inRoot } from './paths.mjs'

const FIELD_PAGE = '/(field)/field/page'

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) yield* filesBelow(path)
    else yield path
  }
}

/** Every script, style and font the field sheet's page can ask for, by their addresses. */
function fieldFiles(dist) {
  const manifest = readFileSync(
    join(dist, 'server', 'app', '(field)', 'field', 'page_client-reference-manifest.js'),
    'utf8',
  )
  const named = manifest.match(/static\/chunks\/[^"'\\]+?\.(?:js|css)/g) ?? []
  const main = Object.values(JSON.parse(readFileSync(join(dist, 'build-manifest.json'), 'utf8')))
    .flat()
    .filter((file) => typeof file === 'string' && file.startsWith('static/'))
  // fonts, and styles that name them
  const styled = [...filesBelow(join(dist, 'static'))]
    .map((file) => relative(dist, file).split(sep).join('/'))
    .filter((file) => /\.(css|woff2)$/.test(file))
  if (!manifest.includes(FIELD_PAGE) || named.length === 0)
    throw new Error('The built field sheet was not found where it should be.')
  return [...new Set([...named, ...main, ...styled])].map((file) => `/_next/${file}`).sort()
}

/** Bundles the service worker into the build. */
export async function buildServiceWorker(distDir) {
  const { build } = await import('esbuild')
  const dist = inRoot(distDir)
  const id = readFileSync(join(dist, 'BUILD_ID'), 'utf8').trim()
  await build({
    entryPoints: [inRoot('src', 'sw', 'sw.ts')],
    outfile: join(dist, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: {
      FIELD_FILES: JSON.stringify(fieldFiles(dist)),
      BUILD: JSON.stringify(id),
      'process.env.NODE_ENV': '"production"',
    },
  })
}
