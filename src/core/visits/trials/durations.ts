import { normalDeviate, seededRandom, type Random } from '../../numeric/random'
import { learnDurations, visitMinutes, type TimedVisit } from '../learn-duration'

/** A firm whose crews, jobs and ponds are known, as they may be. */
export interface DurationTrial {
  /** Logarithms by which a firm, jobs, crews, ponds and single days stray from the plain estimates. */
  readonly spread: {
    readonly firm: number
    readonly job: number
    readonly crew: number
    readonly pond: number
    readonly day: number
  }
  readonly crews: number
  readonly ponds: number
  readonly visits: number
  /** Jobs: minutes of handwork and of hoses and pumps. */
  readonly jobs: readonly { readonly handsMin: number; readonly machineMin: number }[]
  /** What hands take over what they were reckoned at, for the whole firm; drawn where none is given. */
  readonly hands?: number
  /** Share by which hoses stray. */
  readonly hose: number
  /** Share of visits that were left open or closed late. */
  readonly slips: number
  /** Share of visits whose crew left before the hose was done. */
  readonly leftEarly: number
}

const USUAL: DurationTrial = {
  spread: { firm: 0.3, job: 0.25, crew: 0.15, pond: 0.2, day: 0.3 },
  crews: 3,
  ponds: 25,
  visits: 120,
  jobs: [
    { handsMin: 70, machineMin: 0 },
    { handsMin: 45, machineMin: 20 },
    { handsMin: 240, machineMin: 130 },
    { handsMin: 110, machineMin: 0 },
  ],
  hose: 0.1,
  slips: 0,
  leftEarly: 0,
}

/** A refill of ten hours beside four of handwork. */
const LONG_HOSE = [{ handsMin: 240, machineMin: 600 }]

export const DURATION_CASES: Readonly<Record<string, DurationTrial>> = {
  'a firm as firms usually are': USUAL,
  'its first five visits': { ...USUAL, visits: 5 },
  'its first twenty visits': { ...USUAL, visits: 20 },
  'many ponds, seen once or twice': { ...USUAL, ponds: 80 },
  'steady days': { ...USUAL, spread: { ...USUAL.spread, day: 0.12 } },
  'days that stray widely': { ...USUAL, spread: { ...USUAL.spread, day: 0.5 } },
  'crews that differ much': { ...USUAL, crews: 5, spread: { ...USUAL.spread, crew: 0.4 } },
  'ponds that differ much': { ...USUAL, spread: { ...USUAL.spread, pond: 0.5 } },
  'one visit in twenty left open or closed late': { ...USUAL, slips: 0.05 },
  'refills that ran on after the crew had left, one in three': { ...USUAL, leftEarly: 0.33 },
  'a refill of ten hours': { ...USUAL, jobs: LONG_HOSE },
}

interface Firm {
  readonly visit: () => { readonly visit: TimedVisit; readonly slipped: boolean }
}

/** A firm drawn from a trial. */
function firmOf(trial: DurationTrial, random: Random): Firm {
  const { spread } = trial
  const drawn = (sd: number, count: number) => Array.from({ length: count }, () => sd * normalDeviate(random))
  const firm = trial.hands === undefined ? spread.firm * normalDeviate(random) : Math.log(trial.hands)
  const [jobs, crews, ponds] = [
    drawn(spread.job, trial.jobs.length),
    drawn(spread.crew, trial.crews),
    drawn(spread.pond, trial.ponds),
  ]
  const any = (count: number) => Math.floor(count * random())
  return {
    visit: () => {
      const [job, crew, pond] = [any(jobs.length), any(crews.length), any(ponds.length)]
      const { handsMin, machineMin } = trial.jobs[job]!
      const log = firm + jobs[job]! + crews[crew]! + ponds[pond]! + spread.day * normalDeviate(random)
      const [leftEarly, astray] = [random() < trial.leftEarly && machineMin > 0, random() < trial.slips]
      const waitedMin = leftEarly ? 0.2 * machineMin : machineMin * Math.exp(trial.hose * normalDeviate(random))
      const tookMin = handsMin * Math.exp(log) + waitedMin
      return {
        visit: {
          job: `job ${job}`,
          crewId: `crew ${crew}`,
          pondId: `pond ${pond}`,
          handsMin,
          machineMin,
          tookMin: astray ? tookMin * (random() < 0.5 ? 3 : 0.3) : tookMin,
        },
        slipped: astray || leftEarly,
      }
    },
  }
}

export interface DurationRates {
  /** Share of visits to come that took what was said of four in five. */
  readonly held: number
  /** What they took over what they were planned at, in all. */
  readonly tookOverPlanned: number
}

const TO_COME = 40

/** Firms that learn from their visits, and are held to the next ones. */
export function durationRates(trial: DurationTrial, firms: number): DurationRates {
  let [held, cases, took, planned] = [0, 0, 0, 0]
  for (let seed = 0; seed < firms; seed++) {
    const { visit } = firmOf(trial, seededRandom(50_021 + 61 * seed))
    const learnt = learnDurations(Array.from({ length: trial.visits }, () => visit().visit))
    for (let i = 0; i < TO_COME; i++) {
      const { visit: next, slipped } = visit()
      // what was logged wrongly is no visit of such a length
      if (slipped) continue
      const said = visitMinutes(next.handsMin, next.machineMin, learnt.factorOf(next.job, next.pondId, next.crewId))
      cases++
      held += Number(next.tookMin >= said.lowMin && next.tookMin <= said.highMin)
      took += next.tookMin
      planned += said.meanMin
    }
  }
  return { held: held / cases, tookOverPlanned: took / planned }
}
