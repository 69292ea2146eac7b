import type { Knex } from 'knex'
import { GATES_THAT_HOLD } from '@/core/visits/gates'
import type { GateReason } from '@/core/visits/gates/gate'
import type { VisitStep } from '@/core/visits/step'
import type { VisitId } from '@/domain/shared/ids'
import { badField, notFound, ProblemError, refused } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { EARLIER_DOSE_DAYS, givenBefore, givenEarlier, overLabel } from '@/domain/water/dosing'
import { amountsToday } from '@/domain/field/field-pack'
import { stateAfter } from '@/domain/field/field-log'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { upgradeEntry } from '@/domain/visits/visit-type-upgrade'
import { answerProblem } from '@/domain/visits/step-check'
import { judgeStep } from '@/domain/visits/step-gate'
import { gateContext, stepStates, timerStart } from '@/domain/visits/visit-progress'
import type { Entry, EntryInput, StepAnswer, VisitInContext } from '@/domain/visits/visit'
import { answerRefused } from '@/server/visits/answer-refused'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPhotos } from '@/server/visits/photo-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { findProducts } from '@/server/stores/product-repository'
import { changeVisit, findVisit, listDosesSince, listEntries, lockVisit } from '@/server/visits/visit-repository'
import { appendEntry, hasEntry } from '@/server/visits/entry-repository'
import { cleanoutPond } from '@/server/visits/visit-estimates'
import { onEntryLogged } from './consequences'
import { gateFacts } from './facts'
import { DAY_MS } from '@/core/numeric/time'
import { said } from '@/domain/shared/said'

/**
 * Adds one line to a visit's log: the way in for everything that happens at the water's edge, at once or hours later
 * when a device
 * has signal again. The same line twice is logged once. What happened is kept, also when the office called the visit
 * off meanwhile,
 * or someone else ended it.
 * @returns 'already' when the line was there before
 * @throws {ProblemError} something the step needs is missing, a reading cannot be true, the gate says stop, or steps
 * are still open
 */
export async function logEntry(
  actor: Actor,
  id: VisitId,
  input: EntryInput,
  now: Date = new Date(),
): Promise<'kept' | 'already'> {
  assertMay(actor, 'visits.log')
  return inFirm(actor.firmId, async (trx) => {
    await lockVisit(trx, id)
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('visit')
    if (await hasEntry(trx, input.id)) return 'already'
    // a device whose clock runs ahead must not outrank everybody who answers later
    const dated: EntryInput = Date.parse(input.at) > now.getTime() ? { ...input, at: now.toISOString() } : input
    // a device that was away since before answers had codes says them by their words
    const entry = upgradeEntry(dated, visit.job.steps)
    if (entry.kind !== 'started' && visit.state === 'planned') throw refused(said('field.problems.startVisitFirst'))
    if (entry.kind === 'finished' && visit.state === 'done') return 'already'
    const log = await listEntries(trx, id)
    const disputed = await judged(trx, actor, visit, log, entry)
    await appendEntry(trx, actor.firmId, id, actor.userId, entry, disputed)
    const state = stateAfter(visit.state, entry)
    if (state !== visit.state)
      await changeVisit(trx, id, visit.version, {
        state,
        ...(entry.kind === 'started' && visit.startedAt === null ? { startedAt: entry.at } : {}),
        ...(entry.kind === 'finished'
          ? { finishedAt: entry.at, ending: entry.ending, endingReason: entry.reason }
          : {}),
      })
    await onEntryLogged(trx, actor, { ...visit, state }, await listEntries(trx, id), entry)
    return 'kept'
  })
}

/**
 * Whether the line may be logged.
 * @returns the gate's reasons where the device knew of none, to be kept beside the line
 */
async function judged(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  log: readonly Entry[],
  entry: EntryInput,
): Promise<Entry['disputed']> {
  const { steps } = visit.job
  if (entry.kind === 'finished') {
    if (entry.ending === 'done') assertAllAnswered(steps, log)
    return undefined
  }
  if (
    entry.kind === 'started' ||
    entry.kind === 'left' ||
    entry.kind === 'part' ||
    !('stepKey' in entry) ||
    entry.stepKey === null
  )
    return undefined
  const step = steps.find((s) => s.key === entry.stepKey)
  if (!step) throw badField('stepKey', said('field.problems.noSuchStep'))
  if (entry.kind === 'done') {
    const photos = (await listPhotos(trx, visit.id)).filter((photo) => photo.stepKey === step.key).length
    const wrong = answerProblem(step, entry.answer, photos, entry.confirmedUnlikely)
    if (wrong) throw new ProblemError(answerRefused(wrong))
    await assertLabels(trx, visit, log, step, entry.answer)
    return gateVerdict(trx, actor, visit, log, step, entry.answer, entry, entry.override?.reason ?? '')
  }
  if (entry.kind === 'skipped' && step.gate && GATES_THAT_HOLD.includes(step.gate))
    return gateVerdict(trx, actor, visit, log, step, { note: '' }, entry, entry.reason)
  return undefined
}

/** Quantity over the label is refused, whoever gives it. */
async function assertLabels(
  trx: Knex.Transaction,
  visit: VisitInContext,
  log: readonly Entry[],
  step: VisitStep,
  answer: StepAnswer,
): Promise<void> {
  if ((answer.doses ?? []).length === 0) return
  const pond = (await findPond(trx, visit.pondId))!
  const sheet = { cleanout: cleanoutPond(pond, savedPondFacts(pond)), gateFacts: await gateFacts(trx, visit.id, pond) }
  const amounts = amountsToday(sheet, stepStates(visit.job.steps, log))
  const over = overLabel(step, (await findProducts(trx)).products, amounts, answer)
  if (over) throw new ProblemError(answerRefused(over))
}

function assertAllAnswered(steps: readonly VisitStep[], log: readonly Entry[]): void {
  const states = stepStates(steps, log)
  const open = steps.filter((step) => states.get(step.key)?.status === 'open')
  if (open.length > 0)
    throw refused(said('field.problems.stepsOpen', { count: open.length, title: open[0]!.title }), {
      open: open.map((s) => s.key),
    })
}

/**
 * A stop is passed only with a reason, by someone whose role may; what a device without signal could not know is
 * written down.
 */
async function gateVerdict(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  log: readonly Entry[],
  step: VisitStep,
  answer: StepAnswer,
  entry: { readonly at: string; readonly gateSeen?: 'safe' | 'stop' },
  reason: string,
): Promise<readonly GateReason[] | undefined> {
  // most steps decide nothing
  if (!step.gate && !step.waits && (answer.doses ?? []).length === 0) return undefined
  // only what was known by then counts, whenever it arrived
  const states = stepStates(
    visit.job.steps,
    log.filter((e) => Date.parse(e.at) <= Date.parse(entry.at)),
  )
  const pond = (await findPond(trx, visit.pondId))!
  const atMs = Date.parse(entry.at)
  const { products } = await findProducts(trx)
  const earlier = await listDosesSince(trx, [visit.pondId], new Date(atMs - EARLIER_DOSE_DAYS * DAY_MS).toISOString())
  const recent = [
    ...givenBefore(states, products, step.key, atMs),
    ...givenEarlier(
      earlier.filter((dose) => dose.visitId !== visit.id && Date.parse(dose.at) <= atMs),
      products,
      atMs,
    ),
  ]
  const facts = await gateFacts(trx, visit.id, pond)
  const verdict = judgeStep(step, gateContext(states, answer, facts, atMs), answer, products, recent, {
    states,
    fishInTanks: facts.fishInTanks,
    timerStartedAt: timerStart(log, step.key),
    atMs,
  })
  if (!verdict || verdict.gate.status === 'safe') return undefined
  const { gate } = verdict
  if (reason.trim().length >= 5 && may(actor.role, 'visits.override-gate')) return undefined
  if (entry.gateSeen === 'safe') return gate.reasons
  if (reason.trim().length >= 5) throw refused(said('field.problems.onlyLeadPasses'), { gate: gate.reasons })
  throw refused(
    step.gate === 'fish-back-safe'
      ? said('field.problems.fishStay')
      : said('field.problems.stepWaits', { title: step.title }),
    { gate: gate.reasons },
  )
}
