// npm run -s ecosystem-report: the simulator's behaviours over draws from its priors, written to docs.
// With "dry" after the number of draws nothing is written: that is one of the checks of npm test.
import { ensurePackages } from './lib/packages.mjs'
import { inRoot } from './lib/paths.mjs'
import { runBundled } from './lib/run-bundled.mjs'

const [draws = '200', dry] = process.argv.slice(2)
await ensurePackages()
const file = dry ? [] : [inRoot('docs', 'how-it-computes', 'ecosystem-sensitivity.md')]
const { code } = await runBundled('scripts/ecosystem-report.ts', [draws, ...file])
process.exit(code)
