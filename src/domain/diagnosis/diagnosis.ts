import { z } from 'zod'
import { CAUSE_KEYS, causeOf, type CauseKey, type RemedyDose } from '../../core/diagnosis/causes'
import { FINDING_KEYS, type FindingKey, type Findings } from '../../core/diagnosis/findings'
import { addDays, daysBetween } from '../../core/numeric/calendar'
import type { ReadingKindName } from '../../core/water/readings'
import type { DiagnosisId, PondId } from '../shared/ids'
import { settledBy, TEST_FINDINGS, testsOf } from '../water/test-findings'
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
  /** What the pond page says of the level: null without logs. */
  readonly loss: LossEvidence | null
}

const RECENT_TEST_DAYS = 10
const NEW_FILTER_DAYS = 70
const CLEANED_DAYS = 42
const RAIN_DAYS = 4
const HEAVY_RAIN_MM = 20
const HOT_C = 28
const STERILE_JOBS = ['spring-cleanout', 'rescue-media']
const SMALL_SHARE = 0.75
const FEW_PLANTS = 0.3
const LEVEL_FALLS_MM = 10
/** A leak is held likelier than not from here, and ruled out under the other. */
const LEAK = { likely: 0.5, unlikely: 0.2 } as const
const DOSED_DAYS = 7

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
  if (facts.builtOn)
    say(
      'filter-new',
      age(facts.builtOn) <= NEW_FILTER_DAYS,
      said('diagnosis.sources.built', { day: { day: facts.builtOn } }),
    )
  const cleaned = facts.visits.findLast((v) => STERILE_JOBS.includes(v.jobKey))
  say(
    'cleaned-lately',
    cleaned !== undefined && age(cleaned.day) <= CLEANED_DAYS,
    cleaned
      ? said('diagnosis.sources.visit', {
          visit: { text: `visitTypes.namesInText.${cleaned.jobKey}` },
          day: { day: cleaned.day },
        })
      : said('diagnosis.sources.noVisit'),
  )
  if (facts.bed) {
    say('filter-small', facts.bed.areaM2 < SMALL_SHARE * facts.bed.neededM2, said('diagnosis.sources.filter'))
    say('plants-few', facts.bed.coverShare < FEW_PLANTS, said('diagnosis.sources.planting'))
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
  readonly from: string
  readonly to: string
  readonly jobKey: string | null
  readonly dose: RemedyDose | null
}

/** Days around a step's own that do as well. */
const STEP_SLACK_DAYS = 4
/** Days after the latest that someone looks whether it has come true. */
const LOOK_AFTER_DAYS = 3

/** The remedy as dated tasks, with a look at the end whether it worked. */
export function remedyPlan(cause: CauseKey, today: string): PlanStep[] {
  const { remedies, betterDays } = causeOf(cause)
  const steps = remedies.map(({ code, jobKey, afterDays, dose }): PlanStep => {
    const from = addDays(today, afterDays)
    return {
      title: said(`diagnosis.remedies.${code}`),
      from,
      to: addDays(from, STEP_SLACK_DAYS),
      jobKey: jobKey ?? null,
      dose: dose ?? null,
    }
  })
  if (!betterDays) return steps
  const look = addDays(today, betterDays[1])
  return [
    ...steps,
    {
      title: said('diagnosis.remedyTask.check', { cause: { text: `diagnosis.causeNames.${cause}` } }),
      from: look,
      to: addDays(look, LOOK_AFTER_DAYS),
      jobKey: 'routine',
      dose: null,
    },
  ]
}

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
