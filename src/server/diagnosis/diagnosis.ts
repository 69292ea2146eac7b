import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { betterDays } from '@/core/diagnosis/better-days'
import type { RemedyDose } from '@/core/diagnosis/cause'
import { diagnose } from '@/core/diagnosis/diagnose'
import { anythingWrong } from '@/core/diagnosis/findings'
import { evaluateDesign } from '@/core/filter/design'
import { stockDensity } from '@/core/fish/stock'
import { treesOverhang } from '@/domain/ponds/leaf-load'
import { addDays } from '@/core/numeric/calendar'
import { standingDesign } from '@/domain/design/design'
import { checkDiagnosis } from '@/domain/diagnosis/diagnosis-check'
import {
  knownFindings,
  remedyPlan,
  waterAheadOf,
  type DiagnosisFacts,
  type DiagnosisInput,
  type SavedDiagnosis,
} from '@/domain/diagnosis/diagnosis'
import { equipmentDue } from '@/domain/equipment/equipment'
import type { DiagnosisId, PondId } from '@/domain/shared/ids'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { badField, notFound } from '@/domain/shared/problems'
import { remedyAmounts, type RemedyDosingFacts } from '@/domain/diagnosis/remedy-doses'
import { remedyAmountWords } from '@/messages/water/amount-words'
import { may } from '@/domain/people/roles'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { database } from '@/server/platform/db/connection'
import { findSite } from '@/server/customers/customer-repository'
import { listDesigns } from '@/server/design/design-repository'
import { dosingFacts } from '@/server/diagnosis/remedy-dosing'
import { insertDiagnosis, listDiagnoses, setOutcome } from '@/server/diagnosis/diagnosis-repository'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { insertFollowUp } from '@/server/visits/follow-up-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { findPhotosAround } from '@/server/visits/photo-repository'
import { listDailyReadings, listLastReadings } from '@/server/water/reading-repository'
import { listDoneVisitDays, listDosesSince } from '@/server/visits/visit-repository'
import { listWaterWork } from '@/server/visits/water-work-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { USUAL_WEEKS } from '@/core/season/usual-water'
import { listStations, listWeatherDays, type KeptStation } from '@/server/season/weather-repository'
import { todayIn } from '@/server/platform/today'
import { designContext } from '@/server/design/designs'
import { waterLoss } from '@/server/survey/water-loss'
import { weather } from '@/server/season/weather'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'
import { saidWords } from '@/messages/said'

const VISITS_SINCE_DAYS = 200
const WEATHER_DAYS = 7
const DOSES_SINCE_DAYS = 14
/** Work of one step of a remedy, minutes. @source house default */
const STEP_MINUTES = 20

/** What a diagnosis of a pond opens with: what the file already knows, and what was found before. */
export async function diagnosisPage(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  await weather()
  const stations = await listStations(database())
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    return {
      pond: { id: pond.id, name: pond.name, siteName: pond.siteName },
      today,
      known: knownFindings(await factsOf(trx, actor, pond, stations, today)),
      dosing: await dosingFacts(trx, pond, today),
      weeklyWaterC: await weeklyWater(trx, pondId),
      kept: await checked(trx, actor, pond, today),
      mayPlan: may(actor.role, 'visits.plan'),
      mayLog: may(actor.role, 'visits.log'),
    }
  })
}
/** Expected water of the pond by the weeks of the year, °C. */
const weeklyWater = async (trx: Knex.Transaction, pondId: PondId): Promise<readonly number[]> =>
  (await listPlanningPonds(trx, [pondId]))[0]?.weeklyC ?? USUAL_WEEKS

/** Tests before a diagnosis that it may have been made from. */
const TESTS_BEFORE_DAYS = 30

/** Earlier diagnoses held against the tests and photos that came after them. */
async function checked(trx: Knex.Transaction, actor: Actor, pond: PondInContext, today: string) {
  const pondId = pond.id
  const { maxDepthM } = savedPondFacts(pond).basin
  const kept = await listDiagnoses(trx, pondId)
  const first = kept.reduce((day, k) => (k.madeOn < day ? k.madeOn : day), today)
  const tests =
    kept.length > 0 ? await listDailyReadings(trx, pondId, addDays(first, -TESTS_BEFORE_DAYS), actor.timeZone) : []
  const photos: Awaited<ReturnType<typeof findPhotosAround>>[] = []
  for (const { madeOn } of kept) photos.push(await findPhotosAround(trx, pondId, madeOn, actor.timeZone))
  return kept.map((k, i) => ({ ...k, check: checkDiagnosis(k, tests, maxDepthM), photos: photos[i] }))
}
export type CheckedDiagnosis = Awaited<ReturnType<typeof checked>>[number]

export type DiagnosisData = Awaited<ReturnType<typeof diagnosisPage>>

// eslint-disable-next-line max-lines-per-function -- facts one after the other, each from its own source
async function factsOf(
  trx: Knex.Transaction,
  actor: Actor,
  pond: PondInContext,
  stations: readonly KeptStation[],
  today: string,
): Promise<DiagnosisFacts> {
  const facts = savedPondFacts(pond)
  const context = await designContext(trx, actor, pond, stations)
  const designs = await listDesigns(trx, pond.id)
  const standing = standingDesign(designs)
  const bed = standing && (standing.builtBed ?? standing.bed)
  const result =
    bed &&
    evaluateDesign({
      pond: context.designPond,
      design: bed,
      rules: context.rules,
      houseMethod: context.houseMethod,
      pumps: context.pumps,
    })
  const equipment = (await listEquipment(trx)).filter((e) => e.pondId === pond.id && !e.retired)
  const lamps = equipment.filter((e) => e.kind === 'uv-lamp')
  const train = bed?.train.map((c) => c.kind) ?? []
  const site = await findSite(trx, pond.siteId)
  const station = stations.find((s) => s.id === site?.stationId) ?? stations[0]
  const loss = await waterLoss(trx, pond, stations, today)
  const doses = await listDosesSince(trx, [pond.id], `${addDays(today, -DOSES_SINCE_DAYS)}T00:00:00Z`)
  const verdict = loss?.balance.on ?? loss?.balance.off ?? null
  const leak = loss?.balance.leak ?? null
  return {
    today,
    readings: Object.fromEntries(
      ((await listLastReadings(trx, [pond.id])).get(pond.id) ?? []).map((r) => [
        r.kind,
        { value: r.value, takenAt: r.takenAt },
      ]),
    ),
    visits: await listDoneVisitDays(trx, pond.id, addDays(today, -VISITS_SINCE_DAYS)),
    builtOn: standing?.state === 'built' ? (standing.stateAt?.slice(0, 10) ?? null) : null,
    bed: result
      ? { areaM2: result.areaM2, neededM2: result.houseAreaM2, coverShare: result.planting.coverShare }
      : null,
    tooManyFish: stockDensity(pond.fish, facts.adopted.volumeM3, pond.use).verdict === 'too-many',
    overhangingTrees: treesOverhang(pond, facts.basin),
    lamp: {
      fitted: lamps.length > 0 || train.includes('uv'),
      overdue: lamps.some((lamp) => equipmentDue(lamp, null).due < today),
    },
    ioniser: train.includes('ioniser') || equipment.some((e) => e.kind.includes('ioniser')),
    weather: station ? await listWeatherDays(trx, station.id, addDays(today, -WEATHER_DAYS)) : [],
    dosedOn:
      doses
        .map((d) => d.at.slice(0, 10))
        .sort()
        .at(-1) ?? null,
    freshShare: await freshShare(trx, actor, pond, today),
    loss: verdict &&
      leak && {
        mmPerD: verdict.measuredMmPerD,
        leakLikelihood: leak.shell + leak.movingWater,
        leakLikelihoodPumpOff: loss?.balance.off ? leak.shell : null,
      },
  }
}

/** Days in which fresh water still tells. */
const FRESH_DAYS = 3

/** Share of the pond's water that visits changed or topped up within the last days. */
async function freshShare(trx: Knex.Transaction, actor: Actor, pond: PondInContext, today: string): Promise<number> {
  const since = addDays(today, -FRESH_DAYS)
  const work = (await listWaterWork(trx, pond.id, actor.timeZone)).filter(({ day }) => day >= since)
  const freshM3 = work.reduce((sum, { work: w }) => (w.code === 'dose' ? sum : sum + w.amount), 0)
  return freshM3 / savedPondFacts(pond).adopted.volumeM3
}

/**
 * Acts on a diagnosis: keeps it with the days on which it should look better, and puts its steps among what is due at
 * the pond.
 */
export async function actOnDiagnosis(
  actor: Actor,
  pondId: PondId,
  { findings, cause }: DiagnosisInput,
): Promise<{ id: DiagnosisId }> {
  assertMay(actor, 'visits.plan')
  if (!anythingWrong(findings)) throw badField('findings', said('diagnosis.problems.nothingWrongYet'))
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const dosing = await dosingFacts(trx, pond, today)
    const id = randomUUID() as DiagnosisId
    const waterAhead = waterAheadOf(today, await weeklyWater(trx, pondId))
    const better = betterDays(cause, waterAhead)
    await insertDiagnosis(trx, actor.firmId, {
      id,
      pondId,
      cause,
      likelihood: diagnose(findings).ranked.find((r) => r.cause === cause)!.likelihood,
      findings,
      madeOn: today,
      betterFrom: better && addDays(today, better[0]),
      betterTo: better && addDays(today, better[1]),
      byId: actor.userId,
    })
    for (const { title, times, dose } of remedyPlan(cause, today, waterAhead))
      for (const { from, to } of times)
        await insertFollowUp(trx, actor.firmId, {
          pondId,
          visitId: null,
          title: withAmount(saidWords(title, firmTexts()), dose, dosing),
          readings: [],
          dueFrom: from,
          dueTo: to,
          minutes: STEP_MINUTES,
        })
    return { id }
  })
}

/** A step as the crew reads it, with how much of the first product that fits. */
function withAmount(title: string, dose: RemedyDose | null, dosing: RemedyDosingFacts): string {
  const [amount] = dose ? remedyAmounts(dose, dosing) : []
  return amount ? firmTexts()('diagnosis.remedyTask.withAmount', { title, amount: remedyAmountWords(amount) }) : title
}

export async function sayOutcome(actor: Actor, id: DiagnosisId, outcome: SavedDiagnosis['outcome']): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await setOutcome(trx, id, outcome))) throw notFound('diagnosis')
  })
}
