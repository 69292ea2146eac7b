import { DESIGN_BAR, DESIGN_CASES, DESIGN_FIGURES, designRates } from '../../src/core/filter/trials/designs'
import { SEASON_CASES, seasonRates } from '../../src/core/season/trials/seasons'
import { VOLUME_CASES, volumeRates } from '../../src/core/survey/trials/volumes'
import { DURATION_CASES, durationRates } from '../../src/core/visits/trials/durations'
import { koiPond } from '../../tests/fixtures/design-pond'
import { USUAL_PRICE_BOOK } from '../../tests/fixtures/usual-in-words'
import { CHANCE, percent, type Section } from './report-section'

const VOLUME_BAR = 0.75
const DURATION_BAR = [0.75, 0.88] as const
/** Visits of one firm go together: each counts for so many cases of its own. */
const DURATION_GO_TOGETHER = 8
const VOLUME_PONDS = 4000

export function volumes(): Section {
  let failed = false
  const cases = Object.entries(VOLUME_CASES).map(([name, trial]) => {
    const { held, open, blamed, sigmaShare } = volumeRates(trial, VOLUME_PONDS)
    const missed = held < VOLUME_BAR
    failed ||= missed
    return `| ${name} | ${percent(held)}${missed ? ' !' : ''} | ${percent(open)} | ${percent(blamed.rightly)} | ${percent(blamed.wrongly)} | ${percent(sigmaShare)} |`
  })
  return {
    lines: [
      `## Adopted volumes, ${VOLUME_PONDS} ponds a case (80 % bands, at least ${percent(VOLUME_BAR)})`,
      '',
      '| case | held | told that ways differ | rightly blamed | wrongly blamed | one sigma, % of the volume |',
      '| --- | --- | --- | --- | --- | --- |',
      ...cases,
      '',
    ],
    failed,
  }
}

export function durations(firms: number): Section {
  let failed = false
  const cases = Object.entries(DURATION_CASES).map(([name, trial]) => {
    const { held, tookOverPlanned } = durationRates(trial, firms)
    const chance = CHANCE * Math.sqrt(0.16 / (firms * DURATION_GO_TOGETHER))
    const missed = held < DURATION_BAR[0] - chance || held > DURATION_BAR[1] + chance
    failed ||= missed
    return `| ${name} | ${percent(held)}${missed ? ' !' : ''} | ${tookOverPlanned.toFixed(2)} |`
  })
  return {
    lines: [
      `## Durations of visits, ${firms} firms a case (80 % bands, ${percent(DURATION_BAR[0])} to ${percent(DURATION_BAR[1])})`,
      '',
      '| case | held | took over planned |',
      '| --- | --- | --- |',
      ...cases,
      '',
    ],
    failed,
  }
}

/** Of bands of 80 % from May to October; with a thermometer that is off, and ponds of which few are looked at. */
const SEASON_BAR = { low: 0.7, high: 0.92 } as const
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const
const MAY_TO_OCTOBER = [4, 10] as const

export function seasons(ponds: number): Section {
  let failed = false
  const cases = Object.entries(SEASON_CASES).map(([name, trial]) => {
    const { byMonth, used, probeC } = seasonRates(trial, ponds)
    const open = byMonth.slice(...MAY_TO_OCTOBER)
    const mean = open.reduce((sum, m) => sum + m, 0) / open.length
    const missed = mean < SEASON_BAR.low || mean > SEASON_BAR.high
    failed ||= missed
    return `| ${name} | ${byMonth.map(percent).join(' | ')} | ${percent(mean)}${missed ? ' !' : ''} | ${percent(used)} | ${probeC.toFixed(1)} |`
  })
  return {
    lines: [
      `## Season bands of 80 %, ${ponds} ponds a case, twelve unseen years each`,
      '',
      `| case | ${MONTHS.join(' | ')} | May to Oct | fit used | probe found off, °C |`,
      `| --- | ${MONTHS.map(() => '---').join(' | ')} | --- | --- | --- |`,
      ...cases,
      '',
      'Water that freezes has one temperature in band and truth alike, so that winter holds more.',
      '',
    ],
    failed,
  }
}

/** What bands about a design and its price held of ponds built so, for a koi pond at the usual prices. */
export function designs(runs: number): Section {
  let failed = false
  const chance = (bar: number) => CHANCE * Math.sqrt((bar * (1 - bar)) / runs)
  const cases = Object.entries(DESIGN_CASES).map(([name, trial]) => {
    const rates = designRates(trial, koiPond, USUAL_PRICE_BOOK, runs)
    const cells = DESIGN_FIGURES.map((figure) => {
      const missed =
        rates[figure] < DESIGN_BAR[0] - chance(DESIGN_BAR[0]) || rates[figure] > DESIGN_BAR[1] + chance(DESIGN_BAR[1])
      failed ||= missed
      return `${percent(rates[figure])}${missed ? ' !' : ''}`
    })
    return `| ${name} | ${cells.join(' | ')} |`
  })
  return {
    lines: [
      `## Figures of a design, ${runs} ponds a case (90 % bands, ${percent(DESIGN_BAR[0])} to ${percent(DESIGN_BAR[1])})`,
      '',
      '| case | bed area | worst TAN | flow | days between flushes | price charged by what it takes |',
      '| --- | --- | --- | --- | --- | --- |',
      ...cases,
      '',
    ],
    failed,
  }
}
