import { writeFileSync } from 'node:fs'
import { drawParameters } from '../src/core/ecosystem/draw-parameters'
import { parameterValues } from '../src/core/ecosystem/parameters'
import { BEHAVIOURS } from '../src/core/ecosystem/trials/behaviours'
import { seededRandom } from '../src/core/numeric/random'

/** Share of draws from the priors in which a behaviour has to show, where it names none. */
const WANTED = 0.9
/** Standard errors by which the share of a few draws may fall short of it by chance. */
const CHANCE = 3
const FIRST_SEED = 1000

const draws = Number(process.argv[2] ?? 100)
const file = process.argv[3]
const figure = (value: number) => (Number.isFinite(value) ? String(Number(value.toPrecision(3))) : '—')

const rows = BEHAVIOURS.map((behaviour) => {
  const usual = behaviour.trial(parameterValues())
  const held = Array.from({ length: draws }, (_, i) =>
    behaviour.trial(drawParameters(seededRandom(FIRST_SEED + i))),
  ).filter((t) => t.holds).length
  return { behaviour, usual, held }
})

for (const { behaviour, usual, held } of rows)
  process.stdout.write(
    `${behaviour.key}: ${usual.holds ? 'holds' : 'FAILS'} at the defaults, in ${held} of ${draws} draws\n`,
  )
if (file) {
  const table = rows.map(({ behaviour, usual, held }) => {
    const figures = Object.entries(usual.figures).map(([name, value]) => `${name} ${figure(value)}`)
    const wanted = Math.round(100 * (behaviour.atLeast ?? WANTED))
    return `| ${behaviour.words} | ${Math.round((100 * held) / draws)} % (${wanted}) | ${figures.join(' · ')} |`
  })
  writeFileSync(
    file,
    [
      '# How far the simulator’s behaviours hold',
      `Each trial of [behaviours.ts](../../src/core/ecosystem/trials/behaviours.ts) over ${draws} draws of all parameters from their priors, and the figures it is judged by at the defaults. Written by \`npm run -s ecosystem-report\`; a run of fewer draws is one of the checks of \`npm test\`.`,
      '',
      '| what keepers see | of the draws (wanted) | figures at the defaults |',
      '| --- | --- | --- |',
      ...table,
      '',
    ].join('\n'),
  )
}
const tooFew = (held: number, wanted = WANTED) =>
  held < wanted * draws - CHANCE * Math.sqrt(draws * wanted * (1 - wanted))
if (rows.some(({ behaviour, usual, held }) => !usual.holds || tooFew(held, behaviour.atLeast))) process.exitCode = 1
