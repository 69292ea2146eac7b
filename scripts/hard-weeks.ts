import { complaints, hardWeeks } from '../tests/trials/hard-weeks'

const SITES = 480
const ITERATIONS = 12_000
/**
 * A replan after rain may take so long where one core does it alone; twice that where the machine is busy with tests.
 */
const MAX_SECONDS = 20

const weeks = hardWeeks(SITES, ITERATIONS)
console.log(JSON.stringify({ ...weeks, second: weeks.second.moved.length, torn: weeks.torn.length }))
const wrong = complaints(weeks, MAX_SECONDS)
for (const words of wrong) console.error(words)
process.exitCode = wrong.length > 0 ? 1 : 0
