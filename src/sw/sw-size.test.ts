/** @jest-environment node */
import { gzipSync } from 'node:zlib'
import { join } from 'node:path'
import { build } from 'esbuild'

const MOST_KB = 120

it('the worker script of the field sheet is small, and holds neither schemas nor texts', async () => {
  const { outputFiles, metafile } = await build({
    entryPoints: [join(__dirname, 'sw.ts')],
    bundle: true,
    minify: true,
    write: false,
    metafile: true,
    format: 'iife',
    target: 'es2022',
    define: { FIELD_FILES: '[]', BUILD: '""', 'process.env.NODE_ENV': '"production"' },
  })
  const from = Object.keys(metafile.inputs)
  expect(from.filter((file) => /node_modules\/zod\/|src\/messages\//.test(file))).toEqual([])
  expect(gzipSync(outputFiles[0]!.contents).length / 1024).toBeLessThan(MOST_KB)
})
