import { z } from 'zod'
import { betterDays, type WaterAhead } from '../../core/diagnosis/better-days'
import type { RemedyDose } from '../../core/diagnosis/cause'
import { CAUSE_KEYS, causeOf, type CauseKey } from '../../core/diagnosis/causes'
import { findingsByFacts, type PondFacts } from '../../core/diagnosis/fact-findings'
import { FINDING_KEYS, type FindingKey, type Findings } from '../../core/diagnosis/findings'
import { addDays, daysBetween, weekOf } from '../../core/numeric/calendar'
import type { ReadingKindName } from '../../core/water/readings'
import type { DiagnosisId, PondId } from '../shared/ids'
import { settledBy, TEST_FINDINGS, testsOf } from '../../core/diagnosis/test-findings'
import { said, type Said } from '../shared/said'
import type { VisitTypeKey } from '@/core/visits/visit-type-keys'

/** A finding that the file already answers, and where it says so. */
export interface KnownFinding {
  readonly found: boolean
  readonly source: Said
}
export type KnownFindings = Readonly<Partial<Record<FindingKey, KnownFinding>>>

/** The level logs held against a bucket or the evaporation, as on the pond page. */
interface LossEvidence {
  readonly mmPerD: number
  readonly leakLikelihood: number
  /** Likelihood of a leak with the pump off; null where no log was taken so. */
  readonly leakLikelihoodPumpOff: number | null
}

/** What the file knows of a pond that a diagnosis may ask. */
export interface DiagnosisFacts {
  readonly today: string
  readonly readings: Partial<Record<ReadingKindName, { readonly value: number; readonly takenAt: string }>>
  /** Done visits of the last months. */
  readonly visits: readonly { readonly day: string; readonly jobKey: VisitTypeKey }[]
  readonly builtOn: string | null
  /** Area of the bed that stands and that the house method asks for, m²; null without a saved filter. */
  readonly bed: { readonly areaM2: number; readonly neededM2: number; readonly coverShare: number } | null
  readonly tooManyFish: boolean
  readonly overhangingTrees: boolean
  readonly lamp: { readonly fitted: boolean; readonly overdue: boolean }
  readonly ioniser: boolean
  /** Weather of the last days, the newest last. */
  readonly weather: readonly { readonly date: string; readonly maxAirC: number; readonly rainMm: number }[]
  readonly dosedOn: string | null
  /** Share of the pond's water that came in fresh within the last days, by the logs of visits. */
  readonly freshShare: number
  /** What the pond page says of the level: null without logs. */
  readonly loss: LossEvidence | null
}

const RECENT_TEST_DAYS = 10
const RAIN_DAYS = 4
const HEAVY_RAIN_MM = 20
const HOT_C = 28
const STERILE_JOBS = ['spring-cleanout', 'rescue-media']
const LEVEL_FALLS_MM = 10
/** A leak is held likelier than not from here, and ruled out under the other. */
const LEAK = { likely: 0.5, unlikely: 0.2 } as const
const DOSED_DAYS = 7
/** From this share of fresh water on the pond counts as filled. */
const FILLED_SHARE = 0.05
/** Visits that stir the floor, and days that it shows. */
const FLOOR_JOBS: readonly VisitTypeKey[] = ['spring-cleanout', 'rescue-floor', 'rescue-rocks']
const STIRRED_DAYS = 1

const byVisit = (visit: DiagnosisFacts['visits'][number]): Said =>
  said('diagnosis.sources.visit', {
    visit: { text: `visitTypes.namesInText.${visit.jobKey}` },
    day: { day: visit.day },
  })

type Say = (key: FindingKey, found: boolean, source: Said) => void

function sayWeather(facts: DiagnosisFacts, say: Say): void {
  const last = facts.weather.slice(-RAIN_DAYS)
  if (last.length === 0) return
  const source = said('diagnosis.sources.weather')
  say(
    'rain-lately',
    last.some((d) => d.rainMm >= HEAVY_RAIN_MM),
    source,
  )
  say('hot-days', last.filter((d) => d.maxAirC >= HOT_C).length >= 2, source)
}

function sayLevels({ loss }: DiagnosisFacts, say: Say): void {
  if (!loss) return
  const { mmPerD, leakLikelihood, leakLikelihoodPumpOff } = loss
  const leaks = leakLikelihood > LEAK.likely
  const source = said('diagnosis.sources.levels')
  say('level-falls', leaks || mmPerD > LEVEL_FALLS_MM, source)
  if (leaks || leakLikelihood < LEAK.unlikely) say('bucket-falls', !leaks, said('diagnosis.sources.evaporation'))
  if (leakLikelihoodPumpOff !== null) say('falls-pump-off', leakLikelihoodPumpOff > LEAK.likely, source)
}

/** Findings that need nobody at the pond: from tests, visits, design, equipment and weather. */
export function knownFindings(facts: DiagnosisFacts): KnownFindings {
  const known: Partial<Record<FindingKey, KnownFinding>> = {}
  const say: Say = (key, found, source) => {
    known[key] = { found, source }
  }
  const age = (iso: string) => daysBetween(iso.slice(0, 10), facts.today)
  const recent = (kind: ReadingKindName) => {
    const reading = facts.readings[kind]
    return reading && age(reading.takenAt) <= RECENT_TEST_DAYS
      ? { value: reading.value, source: said('diagnosis.sources.test', { day: { day: reading.takenAt.slice(0, 10) } }) }
      : null
  }
  for (const rule of TEST_FINDINGS) {
    const tests = testsOf(rule).map((kind) => [kind, recent(kind)] as const)
    const found = settledBy(
      rule,
      Object.fromEntries(tests.flatMap(([kind, test]) => (test ? [[kind, test.value]] : []))),
    )
    if (found !== undefined) say(rule.finding, found, tests[0]![1]!.source)
  }
  const settled = (values: PondFacts, source: Said) => {
    for (const [key, found] of Object.entries(findingsByFacts(values))) say(key as FindingKey, found, source)
  }
  if (facts.builtOn)
    settled({ filterAgeD: age(facts.builtOn) }, said('diagnosis.sources.built', { day: { day: facts.builtOn } }))
  const cleaned = facts.visits.findLast((v) => STERILE_JOBS.includes(v.jobKey))
  settled(
    { cleanedAgoD: cleaned ? age(cleaned.day) : Infinity },
    cleaned ? byVisit(cleaned) : said('diagnosis.sources.noVisit'),
  )
  // that nobody has cared for the pond is not known from what is not on file
  const cared = facts.visits.at(-1)
  if (cared) say('unserviced', false, byVisit(cared))
  const stirred = facts.visits.findLast((v) => FLOOR_JOBS.includes(v.jobKey))
  if (stirred && age(stirred.day) <= STIRRED_DAYS) say('floor-stirred', true, byVisit(stirred))
  if (facts.freshShare >= FILLED_SHARE) say('filled-lately', true, said('diagnosis.sources.water'))
  if (facts.bed) {
    settled({ bedOfNeeded: facts.bed.areaM2 / facts.bed.neededM2 }, said('diagnosis.sources.filter'))
    settled({ plantCover: facts.bed.coverShare }, said('diagnosis.sources.planting'))
  }
  say('fish-many', facts.tooManyFish, said('diagnosis.sources.fish'))
  if (facts.overhangingTrees) say('leaves-in', true, said('diagnosis.sources.trees'))
  say('lamp-fitted', facts.lamp.fitted, said('diagnosis.sources.equipment'))
  if (facts.lamp.fitted) say('lamp-old', facts.lamp.overdue, said('diagnosis.sources.equipment'))
  say('ioniser-fitted', facts.ioniser, said('diagnosis.sources.equipment'))
  sayWeather(facts, say)
  say(
    'treated-lately',
    facts.dosedOn !== null && age(facts.dosedOn) <= DOSED_DAYS,
    facts.dosedOn ? said('diagnosis.sources.dosed', { day: { day: facts.dosedOn } }) : said('diagnosis.sources.noDose'),
  )
  sayLevels(facts, say)
  return known
}

/** What was found, whoever found it; what people say goes before the file. */
export const allFindings = (known: KnownFindings, told: Findings): Findings => ({
  ...Object.fromEntries(Object.entries(known).map(([key, { found }]) => [key, found])),
  ...told,
})

export const DiagnosisInput = z.strictObject({
  findings: z.partialRecord(z.enum(FINDING_KEYS as [FindingKey, ...FindingKey[]]), z.boolean()),
  cause: z.enum(CAUSE_KEYS as [CauseKey, ...CauseKey[]], { error: said('diagnosis.problems.chooseCause') }),
})
export type DiagnosisInput = z.infer<typeof DiagnosisInput>

/** One dated step of what is to be done. */
export interface PlanStep {
  readonly title: Said
  /** Every time it is done, in order; a course has several. */
  readonly times: readonly { readonly from: string; readonly to: string }[]
  readonly jobKey: string | null
  readonly dose: RemedyDose | null
}

/** Days around a step's own that do as well; within a course it is the day itself. */
const STEP_SLACK_DAYS = 4
/** Days after the latest that someone looks whether it has come true. */
const LOOK_AFTER_DAYS = 3

/**
 * The remedy as dated tasks, with a look at the end whether it worked.
 * @param waterAhead expected water: where bacteria must grow first it moves the look
 */
export function remedyPlan(cause: CauseKey, today: string, waterAhead: WaterAhead): PlanStep[] {
  const steps = causeOf(cause).remedies.map(({ code, jobKey, afterDays, dose, course }): PlanStep => {
    const { times, everyDays } = course ?? { times: 1, everyDays: 0 }
    return {
      title: said(`diagnosis.remedies.${code}`),
      times: Array.from({ length: times }, (_, i) => {
        const from = addDays(today, afterDays + i * everyDays)
        return { from, to: course ? from : addDays(from, STEP_SLACK_DAYS) }
      }),
      jobKey: jobKey ?? null,
      dose: dose ?? null,
    }
  })
  const better = betterDays(cause, waterAhead)
  if (!better) return steps
  const look = addDays(today, better[1])
  return [
    ...steps,
    {
      title: said('diagnosis.remedyTask.check', { cause: { text: `diagnosis.causeNames.${cause}` } }),
      times: [{ from: look, to: addDays(look, LOOK_AFTER_DAYS) }],
      jobKey: 'routine',
      dose: null,
    },
  ]
}

/** Expected water from today on, by the weeks of the year. */
export const waterAheadOf =
  (today: string, weeklyC: readonly number[]): WaterAhead =>
  (daysAhead) =>
    weeklyC[weekOf(addDays(today, daysAhead))]!

export const DIAGNOSIS_OUTCOMES = ['better', 'partly', 'not'] as const
export type DiagnosisOutcome = (typeof DIAGNOSIS_OUTCOMES)[number]
export const OutcomeInput = z.strictObject({ outcome: z.enum(DIAGNOSIS_OUTCOMES) })

/** A diagnosis as it was acted on. */
export interface SavedDiagnosis {
  readonly id: DiagnosisId
  readonly pondId: PondId
  readonly cause: CauseKey
  readonly likelihood: number
  readonly madeOn: string
  readonly betterFrom: string | null
  readonly betterTo: string | null
  readonly findings: Findings
  readonly outcome: DiagnosisOutcome | null
  readonly madeByName: string
}
