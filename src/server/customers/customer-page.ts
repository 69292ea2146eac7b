import { SECOND_DAY_KEY } from '@/core/visits/types/cleanout-legs'
import type { Knex } from 'knex'
import { newestOfEach } from '@/core/water/verdict'
import { addDays, daysBetween, monthOf, weekOf } from '@/core/numeric/calendar'
import { customerAdvice, REQUEST_LIMIT, type Advice } from '@/domain/customers/customer-advice'
import type { CustomerRequestInput } from '@/domain/customers/customer-request'
import type { CustomerId, FirmId, PhotoId, PondId, VisitId } from '@/domain/shared/ids'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondInContext } from '@/domain/ponds/pond'
import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { notFound, refused } from '@/domain/shared/problems'
import type { Reading } from '@/domain/water/reading'
import { nextWindow } from '@/domain/season/season-dates'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { openCustomerLink, replaceCustomerLink, revokeCustomerLink } from '@/server/customers/customer-link-repository'
import { customerExists, listCustomers } from '@/server/customers/customer-repository'
import { findFirm, type Firm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { countOpenRequests, insertFollowUp, listOpenFollowUps } from '@/server/visits/follow-up-repository'
import { findPhotoImage, listPhotosOf } from '@/server/visits/photo-repository'
import { listPlanningPonds, type PlanningPond } from '@/server/schedule/planning-repository'
import { findPonds, listPondIdsOf } from '@/server/ponds/pond-repository'
import { listReadings } from '@/server/water/reading-repository'
import { findVisit, listVisits } from '@/server/visits/visit-repository'
import { todayIn } from '@/server/platform/today'
import { photoBytes } from '@/server/visits/photos'
import { reportOf, type ReportPage } from '@/server/visits/report'
import { waterLoss } from '@/server/survey/water-loss'
import { weather } from '@/server/season/weather'
import { DAY_MS } from '@/core/numeric/time'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'
import { jobName } from '@/messages/visits/visit-words'

/** A test older than this says little of the water of today. */
const FRESH_READING_DAYS = 10
const REQUEST_DAYS = 14
/** A cleanout is over when its fish are back. */
const CLEANOUT_DONE = ['spring-cleanout', SECOND_DAY_KEY]

/** Makes the link to a customer's own page; an earlier one stops working. @returns its secret */
export async function makeCustomerLink(actor: Actor, customerId: CustomerId): Promise<{ token: string }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    if (!(await customerExists(trx, customerId))) throw notFound('customer')
    return { token: await replaceCustomerLink(trx, actor.firmId, customerId, actor.userId) }
  })
}

export async function endCustomerLink(actor: Actor, customerId: CustomerId): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await revokeCustomerLink(trx, customerId))) throw notFound('link')
  })
}

/** Runs what a link opens, for its customer and nobody else. @throws {ProblemError} unknown or revoked */
async function behind<Value>(
  token: string,
  work: (trx: Knex.Transaction, customerId: CustomerId, firm: Firm, ponds: readonly PondInContext[]) => Promise<Value>,
) {
  const link = await openCustomerLink(token)
  if (!link) throw notFound('thisPage')
  return inFirm(link.firmId, async (trx) =>
    work(trx, link.customerId, await findFirm(trx), await findPonds(trx, await listPondIdsOf(trx, link.customerId))),
  )
}

export interface CustomerPagePond {
  readonly id: PondId
  readonly name: string
  readonly siteName: string
  readonly waterC: number | null
  readonly measured: boolean
  readonly advice: readonly Advice[]
  /** Of advice to top up: litres a week. */
  readonly topUpM3: number | null
  readonly readings: readonly Pick<Reading, 'kind' | 'value' | 'belowStep' | 'takenAt'>[]
  readonly visits: readonly {
    readonly id: VisitId
    readonly day: string
    readonly jobName: string
    readonly done: boolean
  }[]
  readonly next: { readonly day: string; readonly startTime: string; readonly jobName: string } | null
  /** What is agreed and has no day yet, with its window. */
  readonly coming: readonly { readonly jobName: string; readonly earliest: string; readonly latest: string }[]
  readonly asked: readonly string[]
  readonly photo: PhotoId | null
}

export interface CustomerPage {
  readonly firmName: string
  readonly customerName: string
  readonly timeZone: string
  readonly today: string
  readonly ponds: readonly CustomerPagePond[]
}

/** A customer's own page: how the water is, what was done, what is next, what to do this week. */
// eslint-disable-next-line max-lines-per-function -- what the page shows, read in one go
export async function customerPage(token: string): Promise<CustomerPage> {
  const { stations } = await weather()
  return behind(token, async (trx, customerId, firm, ponds) => {
    const today = todayIn(firm.timeZone)
    const planning = new Map(
      (
        await listPlanningPonds(
          trx,
          ponds.map((p) => p.id),
        )
      ).map((p) => [p.pondId, p]),
    )
    const found: CustomerPagePond[] = []
    for (const pond of ponds) {
      const visits = (await listVisits(trx, { pondId: pond.id })).filter((v) => v.state !== 'given-up')
      const readings = await listReadings(trx, pond.id, 200)
      const plan = planning.get(pond.id)!
      const rules = houseRulesAt(firm.rules, pond.ownRules)
      const tested = readings.find(
        (r) => r.kind === 'waterTemp' && daysBetween(r.takenAt.slice(0, 10), today) <= FRESH_READING_DAYS,
      )
      const waterC = tested?.value ?? plan.weeklyC?.[weekOf(today)] ?? null
      const loss = await waterLoss(trx, pond, stations, today)
      const cleaned = visits.filter((v) => v.state === 'done' && CLEANOUT_DONE.includes(v.job.key)).at(-1)
      const weeklyLossMm = loss ? loss.expectedMmPerD * 7 : null
      const next = visits.find((v) => v.state === 'planned' && v.day >= today)
      const done = visits.filter((v) => v.state === 'done')
      const photos = await listPhotosOf(
        trx,
        done.slice(-1).map((v) => v.id),
      )
      found.push({
        id: pond.id,
        name: pond.name,
        siteName: pond.siteName,
        waterC,
        measured: tested !== undefined,
        advice: customerAdvice({
          waterC,
          monthOfYear: monthOf(today),
          daysSinceCleanout: cleaned?.finishedAt ? (Date.now() - Date.parse(cleaned.finishedAt)) / DAY_MS : null,
          weeklyLossMm,
          hasFish: pond.fish.length > 0,
          mains: pond.waterSource === 'mains',
          rules,
        }),
        topUpM3: weeklyLossMm === null ? null : (weeklyLossMm / 1000) * savedPondFacts(pond).basin.areaM2,
        readings: newestReadings(readings),
        visits: visits
          .filter((v) => v.state === 'done' || v.day >= today)
          .map((v) => ({ id: v.id, day: v.day, jobName: v.job.name, done: v.state === 'done' }))
          .reverse(),
        next: next ? { day: next.day, startTime: next.startTime, jobName: next.job.name } : null,
        coming: comingWindows(plan, visits, today),
        asked: (await listOpenFollowUps(trx, { pondId: pond.id })).filter((f) => f.askedByCustomer).map((f) => f.title),
        photo: photos.at(-1)?.id ?? null,
      })
    }
    const customer = (await listCustomers(trx)).find((c) => c.id === customerId)!
    return { firmName: firm.name, customerName: customer.name, timeZone: firm.timeZone, today, ponds: found }
  })
}

const newestReadings = (readings: readonly Reading[]): CustomerPagePond['readings'] =>
  [...newestOfEach(readings).values()].map(({ kind, value, belowStep, takenAt }) => ({
    kind,
    value,
    belowStep,
    takenAt,
  }))

/** Jobs that are agreed, have no planned visit, and whose next window is known. */
function comingWindows(
  plan: PlanningPond,
  visits: readonly {
    readonly state: string
    readonly day: string
    readonly job: { readonly key: string }
    readonly also: readonly string[]
  }[],
  today: string,
) {
  const planned = new Set(
    visits.filter((v) => v.state === 'planned' && v.day >= today).flatMap((v) => [v.job.key, ...v.also]),
  )
  return plan.lines
    .filter((line) => !planned.has(line.job))
    .flatMap((line) => {
      const window = nextWindow(plan.windows, line.job, today)
      return window
        ? [{ jobName: jobName(line.job, firmTexts()), earliest: window.earliest, latest: window.latest }]
        : []
    })
    .sort((a, b) => a.earliest.localeCompare(b.earliest))
}

/** The report of one of the customer's own visits. */
export async function customerReport(
  token: string,
  visitId: VisitId,
): Promise<ReportPage & { readonly timeZone: string }> {
  return behind(token, async (trx, _, firm, ponds) => {
    const visit = await findVisit(trx, visitId)
    if (!visit || visit.state !== 'done' || !ponds.some((p) => p.id === visit.pondId)) throw notFound('thisReport')
    return { ...(await reportOf(trx, visit, firm.name)), timeZone: firm.timeZone }
  })
}

export async function customerPhoto(token: string, photoId: PhotoId, size: 'image' | 'thumbnail'): Promise<Buffer> {
  const image = await behind(token, async (trx, _, __, ponds) => {
    const visit = await trx('photos').where({ id: photoId }).first('visit_id')
    const found = visit && (await findVisit(trx, visit.visit_id))
    const bytes =
      found && ponds.some((p) => p.id === found.pondId) ? await findPhotoImage(trx, photoId, size) : undefined
    if (!bytes) throw notFound('photo')
    return bytes
  })
  return photoBytes(image)
}

/** The customer asks for a visit: it becomes a wish that the next plan takes along. */
export async function askForVisit(token: string, input: CustomerRequestInput): Promise<void> {
  await behind(token, async (trx, customerId, firm, ponds) => {
    const pond = ponds.find((p) => p.id === input.pondId)
    if (!pond) throw notFound('pond')
    // two presses at once are one after the other
    await trx('customers').where({ id: customerId }).forUpdate().first('id')
    if (
      (await countOpenRequests(
        trx,
        ponds.map((p) => p.id),
      )) >= REQUEST_LIMIT.open
    )
      throw refused(said('customers.problems.yourWishesAlreadyCallIf', { name: firm.name }))
    const today = todayIn(firm.timeZone)
    const from = input.from && input.from > today ? input.from : today
    await insertFollowUp(trx, firm.id as FirmId, {
      pondId: pond.id,
      visitId: null,
      title: firmTexts()('customers.requests.followUp', { text: input.text }),
      readings: [],
      dueFrom: from,
      dueTo: addDays(from, REQUEST_DAYS),
      minutes: 30,
      askedByCustomer: true,
      urgent: input.urgent,
    })
  })
}
