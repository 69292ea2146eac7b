import { writeFileSync } from 'node:fs'
import { isMainThread } from 'node:worker_threads'
import { Piscina } from 'piscina'
import {
  coverageOf,
  HELD_DAYS,
  HELD_OUTPUTS,
  together,
  TWISTS,
  type Coverage,
  type CoverageOf,
  type Held,
  type TwistKey,
} from '../src/core/assimilation/trials/coverage'
import { LEAK_CASES, leakRates, leakReliability } from '../src/core/season/trials/leaks'
import { CHANCE, percent, type Section } from './lib/report-section'
import { designs, durations, seasons, volumes } from './lib/report-trials'

/** What bands of 80 % may hold: of ponds as the model has them, and of ponds that no model has. */
const BARS = { own: [0.74, 0.88], changed: [0.7, 1] } as const
/** Likelihoods may part from what comes by so much, in tenths with so many cases. */
const RELIABLE = { within: 0.1, cases: 30 } as const
const FALSE_ALARMS = 0.05
const LEAK_PONDS = 200

type Method = CoverageOf['method']
interface Group {
  readonly title: string
  readonly method: Method
  readonly twist: TwistKey | null
  readonly bar: readonly [number, number]
}
const GROUPS: readonly Group[] = [
  { title: 'the model’s own ponds, drop tests', method: 'drops', twist: null, bar: BARS.own },
  { title: 'the model’s own ponds, strips', method: 'strip', twist: null, bar: BARS.own },
  ...(Object.keys(TWISTS) as TwistKey[]).map((twist): Group => ({
    title: `changed: ${twist}, photometer`,
    method: 'meter',
    twist,
    bar: BARS.changed,
  })),
]

/** A part of the ponds of a group, as one worker takes it. */
const PER_PART = 4
const THREADS = 2

/** What a thread of the pool does. */
export default coverageOf

async function main(): Promise<void> {
  const ponds = Number(process.argv[2] ?? 60)
  const file = process.argv[3]
  // a few ponds are a check of the machine, not of every bar: fewer members over fewer days
  const size = file ? undefined : { members: 50, learnDays: 60 }
  const pool = new Piscina<CoverageOf, Coverage>({ filename: import.meta.url, maxThreads: THREADS })
  const coverages = await Promise.all(
    GROUPS.map(async ({ method, twist }, g) => {
      const starts = Array.from({ length: Math.ceil(ponds / PER_PART) }, (_, i) => i * PER_PART)
      const parts = await Promise.all(
        starts.map((from) =>
          pool.run({ method, twist, firstSeed: 1000 * g + from, ponds: Math.min(PER_PART, ponds - from), size }),
        ),
      )
      return together(parts)
    }),
  )
  await pool.destroy()
  const sections = [
    forecasts(coverages, ponds),
    risks(coverages.slice(0, 2)),
    leaks(),
    volumes(),
    durations(file ? 150 : 30),
    designs(file ? 1000 : 120),
    seasons(file ? 40 : 6),
  ]
  for (const { lines } of sections) process.stdout.write(`${lines.join('\n')}\n`)
  if (file)
    writeFileSync(
      file,
      [
        '# How far bands and likelihoods hold',
        'Every estimate is made of ponds whose truth is known, as the product makes it, and held to that truth. Written by `npm run -s uncertainty-report`; a run of fewer ponds is one of the checks of `npm test`. Shares in percent; a bar that is missed is marked with an exclamation mark.',
        ...sections.map(({ lines }) => lines.join('\n')),
        '',
      ].join('\n\n'),
    )
  if (sections.some(({ failed }) => failed)) process.exitCode = 1
}

/** Whether a share of so many cases lies out of its bar by more than chance. */
function misses({ cases, held }: Held, [low, high]: readonly [number, number]): boolean {
  if (cases === 0) return false
  const chance = (bar: number) => CHANCE * Math.sqrt((bar * (1 - bar)) / cases)
  return held / cases < low - chance(low) || held / cases > high + chance(high)
}

/**
 * All that a group's forecasts were held to: cases of one pond go together, so that they count for a few only.
 */
function allOf({ byDay }: Coverage): Held {
  const all = HELD_OUTPUTS.flatMap((output) => byDay[output])
  const sum = (of: (held: Held) => number) => all.reduce((total, held) => total + of(held), 0) / GO_TOGETHER
  return { cases: sum(({ cases }) => cases), held: sum(({ held }) => held) }
}
const GO_TOGETHER = 5

/** What bands of 80 % held, by output and day. */
function forecasts(coverages: readonly Coverage[], ponds: number): Section {
  let failed = false
  const cell = (held: Held, bar: readonly [number, number]) => {
    if (held.cases === 0) return '—'
    const missed = misses(held, bar)
    failed ||= missed
    return `${percent(held.held / held.cases)}${missed ? ' !' : ''}`
  }
  const tables = GROUPS.map(({ title, bar }, g) => [
    `### ${title[0]!.toUpperCase()}${title.slice(1)} (bar ${percent(bar[0])} to ${percent(bar[1])})`,
    '',
    `| | ${HELD_DAYS.map((day) => `day ${day + 1}`).join(' | ')} |`,
    `| --- | ${HELD_DAYS.map(() => '---').join(' | ')} |`,
    ...HELD_OUTPUTS.map(
      (output) => `| ${output} | ${coverages[g]!.byDay[output].map((held) => cell(held, bar)).join(' | ')} |`,
    ),
    `| all together | ${cell(allOf(coverages[g]!), bar)} | | | |`,
    '',
  ])
  return {
    lines: [
      `## Forecast bands of 80 %, ${ponds} ponds a table: tested fortnightly for 100 days, then three weeks ahead`,
      '',
      ...tables.flat(),
    ],
    failed,
  }
}

/** Of what was said to cross its line within three weeks: how much did. */
function risks(coverages: readonly Coverage[]): Section {
  let failed = false
  const rows = together(coverages).risks.map(({ said, cases, held }, tenth) => {
    const apart = Math.abs(held / cases - said)
    const missed = cases >= RELIABLE.cases && apart > RELIABLE.within + CHANCE * Math.sqrt((said * (1 - said)) / cases)
    failed ||= missed
    return `| ${tenth * 10} to ${tenth * 10 + 10} | ${cases} | ${cases ? percent(said) : '—'} | ${cases ? percent(held / cases) : '—'}${missed ? ' !' : ''} |`
  })
  return {
    lines: [
      '## Risks of a forecast',
      '',
      '| said | calls | said, mean | came true |',
      '| --- | --- | --- | --- |',
      ...rows,
      '',
    ],
    failed,
  }
}

function leaks(): Section {
  let failed = false
  const cases = Object.entries(LEAK_CASES).map(([name, trial]) => {
    const { called, open } = leakRates(trial, LEAK_PONDS)
    const missed = trial.leaks === 'none' && called > FALSE_ALARMS + 0.02
    failed ||= missed
    return `| ${name} | ${percent(called)}${missed ? ' !' : ''} | ${percent(open)} |`
  })
  const tenths = leakReliability(10 * LEAK_PONDS).map(({ said, cases: of, leaked }, tenth) => {
    const chance = CHANCE * Math.sqrt((said * (1 - said)) / of)
    const missed = of >= RELIABLE.cases && Math.abs(leaked / of - said) > RELIABLE.within + chance
    failed ||= missed
    return `| ${tenth * 10} to ${tenth * 10 + 10} | ${of} | ${of ? percent(said) : '—'} | ${of ? percent(leaked / of) : '—'}${missed ? ' !' : ''} |`
  })
  return {
    lines: [
      `## A leak or not, ${LEAK_PONDS} ponds a case (false alarms at most ${percent(FALSE_ALARMS)})`,
      '',
      '| case | called a leak | next look asked for |',
      '| --- | --- | --- |',
      ...cases,
      '',
      '| said | ponds | said, mean | leaked |',
      '| --- | --- | --- | --- |',
      ...tenths,
      '',
    ],
    failed,
  }
}

if (isMainThread) await main()
