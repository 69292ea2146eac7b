// npm run -s uncertainty-report: what our bands and likelihoods say against what simulated truth does, written to docs.
// With "dry" after the number of ponds nothing is written: that is one of the checks of npm test.
import { ensurePackages } from './lib/packages.mjs'
import { inRoot } from './lib/paths.mjs'
import { runBundled } from './lib/run-bundled.mjs'

const [ponds = '60', dry] = process.argv.slice(2)
await ensurePackages()
const file = dry ? [] : [inRoot('docs', 'how-it-computes', 'uncertainty.md')]
const { code } = await runBundled('scripts/uncertainty-report.ts', [ponds, ...file])
process.exit(code)
