// The three weirdest weeks of a schedule on 480 ponds, looked at by an independent checker: npm test runs it among
// its checks.
import { runBundled } from './lib/run-bundled.mjs'

const { code } = await runBundled('scripts/hard-weeks.ts')
process.exitCode = code
