import type { Knex } from 'knex'
import { addDays } from '@/core/numeric/calendar'
import { DEFAULT_KIT } from '@/core/jobs/cleanout-quantities'
import { figurePossible, STEP_FIGURES, type StepFigure } from '@/core/jobs/figures'
import { GATES_THAT_HOLD, judgeGate } from '@/core/jobs/gates'
import type { JobStep } from '@/core/jobs/step'
import { visitAmounts, type VisitAmounts } from '@/core/jobs/visit-amounts'
import { READING_KINDS, VISIT_ONLY_READINGS, type ReadingKindName } from '@/core/water/readings'
import type { VisitId } from '@/domain/ids'
import { savedPondFacts } from '@/domain/pond-facts'
import { systemVolumeOf } from '@/domain/system-volume'
import { badField, notFound, ProblemError, refused } from '@/domain/problems'
import { READING_NAMES } from '@/domain/reading-names'
import { may } from '@/domain/roles'
import { FIGURE_NAMES } from '@/domain/figure-names'
import { gateContext, khToday, missingFrom, stepStates, tapChlorine, type GateFacts, type StepState } from '@/domain/visit-progress'
import type { Entry, EntryInput, StepAnswer, VisitInContext } from '@/domain/visit'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { insertFollowUp } from '@/server/db/follow-up-repository'
import { listPhotos } from '@/server/db/photo-repository'
import { listDesigns } from '@/server/db/design-repository'
import type { PondInContext } from '@/domain/pond'
import { findPond } from '@/server/db/pond-repository'
import { insertReadings, removeVisitReadings, type NewReading } from '@/server/db/reading-repository'
import { appendEntry, changeVisit, findVisit, lastFigure, listEntries, listVisits } from '@/server/db/visit-repository'
import { todayIn } from '@/server/today'
import { assertReadings } from './reading-rules'
import { cleanoutPond } from './visit-planning'
import { closeVisitTasks } from './tasks'

/** The day of one crew, or of all for people who belong to none. */
export async function fieldDay(actor: Actor, day?: string) {
  assertMay(actor, 'visits.read')
  const wanted = day ?? todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => ({
    day: wanted,
    today: todayIn(actor.timeZone),
    visits: await listVisits(trx, { from: wanted, to: wanted, crewId: actor.crewId ?? undefined }),
    later: (await listVisits(trx, { from: addDays(wanted, 1), to: addDays(wanted, 21), crewId: actor.crewId ?? undefined })).slice(0, 8),
  }))
}

/** A visit with its log, and today's amounts from the pond and the tap. */
export async function fieldVisit(actor: Actor, id: VisitId) {
  assertMay(actor, 'visits.read')
  return inFirm(actor.firmId, async (trx) => {
    const visit = await visitOr404(trx, id)
    const pond = (await findPond(trx, visit.pondId))!
    const log = await listEntries(trx, id)
    const facts = await gateFacts(trx, visit, pond)
    return {
      visit,
      pond,
      log,
      photos: await listPhotos(trx, id),
      quantities: amountsToday(visit, pond, log, facts),
      gateFacts: facts,
      today: todayIn(actor.timeZone),
      mayOverride: may(actor.role, 'visits.override-gate'),
      mayLog: may(actor.role, 'visits.log'),
    }
  })
}

function amountsToday(visit: VisitInContext, pond: PondInContext, log: readonly Entry[], { systemM3, planted }: GateFacts): VisitAmounts {
  const states = stepStates(visit.job.steps, log)
  return visitAmounts(cleanoutPond(pond, savedPondFacts(pond)), DEFAULT_KIT, {
    tapChlorineMgL: tapChlorine(states),
    khDH: khToday(states),
    systemM3,
    planted,
  })
}

/** What gates need to know of the pond: its whole water, whether plants grow in it, and when water was last changed. */
async function gateFacts(trx: Knex.Transaction, visit: VisitInContext, pond: PondInContext): Promise<GateFacts> {
  const designs = await listDesigns(trx, pond.id)
  const last = await lastFigure(trx, pond.id, 'changedM3', visit.id)
  return {
    systemM3: systemVolumeOf(pond, savedPondFacts(pond).adopted.volumeM3, designs).totalM3,
    // a bed is planted; other ponds are taken to be, since salt harms what it meets
    planted: true,
    hoursSinceChange: last && last.value > 0 ? (Date.now() - new Date(last.at).getTime()) / 3_600_000 : null,
  }
}

export async function startVisit(actor: Actor, id: VisitId, now: Date = new Date()): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    const visit = await visitOr404(trx, id)
    if (visit.state === 'under-way') return
    if (visit.state !== 'planned') throw refused('This visit is already finished.')
    await changeVisit(trx, id, visit.version, { state: 'under-way', startedAt: now.toISOString() })
  })
}

/**
 * Adds one line to a visit's log. Sending the same line twice logs it once.
 * @throws {ProblemError} something the step needs is missing, a reading cannot be true, or the gate says stop
 */
export async function logEntry(actor: Actor, id: VisitId, entry: EntryInput): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    const visit = await visitOr404(trx, id)
    if (visit.state === 'done') throw refused('This visit is finished; its report is written.')
    if (visit.state !== 'under-way') throw refused('Start the visit first.')
    const step = visit.job.steps.find((s) => s.key === entry.stepKey)
    if (!step && !(entry.kind === 'note' && entry.stepKey === null)) throw badField('stepKey', 'This visit has no such step.')
    if (entry.kind === 'done') {
      const photos = (await listPhotos(trx, id)).filter((photo) => photo.stepKey === entry.stepKey).length
      assertComplete(step!, entry.answer, photos)
      assertReadings(entry.answer, entry.confirmedUnlikely)
      assertFigures(entry.answer)
      if (step!.gate) await assertGate(trx, actor, visit, step!, entry.answer, entry.override?.reason ?? '')
    }
    if (entry.kind === 'skipped' && step!.gate && GATES_THAT_HOLD.includes(step!.gate)) await assertGate(trx, actor, visit, step!, { note: '' }, entry.reason)
    await appendEntry(trx, actor.firmId, id, actor.userId, entry)
  })
}

const MISSING_WORDS: Readonly<Record<string, string>> = {
  choice: 'a decision',
  fish: 'the fish count',
  photo: 'at least one photo',
  signedBy: 'the name of who was told',
}

function assertComplete(step: JobStep, answer: StepAnswer, photos: number): void {
  const missing = missingFrom(step, answer, photos)
  if (missing.length === 0) return
  const words = missing.map((m) => MISSING_WORDS[m] ?? READING_NAMES[m as ReadingKindName].toLowerCase())
  throw new ProblemError({
    kind: 'bad-input',
    message: `This step still needs ${words.join(', ')}.`,
    fields: missing.map((m) => ({ path: READING_KINDS[m as ReadingKindName] ? `answer.readings.${m}` : `answer.${m}`, message: 'Missing.' })),
  })
}

/** @throws {ProblemError} a figure that cannot be true */
function assertFigures({ figures }: StepAnswer): void {
  for (const [figure, value] of Object.entries(figures ?? {}) as [StepFigure, number][]) {
    const [least, most] = STEP_FIGURES[figure].possible
    if (!figurePossible(figure, value))
      throw badField(`answer.figures.${figure}`, `${FIGURE_NAMES[figure]} cannot be so. It lies between ${least} and ${most} in SI units.`)
  }
}

/** A stop is passed only with a reason, by someone whose role may. */
async function assertGate(trx: Knex.Transaction, actor: Actor, visit: VisitInContext, step: JobStep, answer: StepAnswer, reason: string): Promise<void> {
  const states = stepStates(visit.job.steps, await listEntries(trx, visit.id))
  const pond = (await findPond(trx, visit.pondId))!
  const gate = judgeGate(step.gate!, gateContext(states, answer, await gateFacts(trx, visit, pond)))
  if (gate.status === 'safe') return
  if (reason.trim().length < 5)
    throw refused(
      step.gate === 'fish-back-safe'
        ? 'Fish stay in the tank until the test of the refilled pond is safe.'
        : `“${step.title}” has to wait. Read why, or pass the stop with a reason.`,
      { gate: gate.reasons },
    )
  if (!may(actor.role, 'visits.override-gate')) throw refused('Only a crew lead or the owner can pass this stop. Call them.', { gate: gate.reasons })
}

/** Closes a visit: every step answered, readings go to the pond, the follow-up test is set. */
export async function finishVisit(actor: Actor, id: VisitId, now: Date = new Date()): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    const visit = await visitOr404(trx, id)
    if (visit.state === 'done') return
    if (visit.state !== 'under-way') throw refused('Start the visit first.')
    const log = await listEntries(trx, id)
    const states = stepStates(visit.job.steps, log)
    const open = visit.job.steps.filter((step) => states.get(step.key)?.status === 'open')
    if (open.length > 0)
      throw refused(
        `${open.length} ${open.length === 1 ? 'step is' : 'steps are'} still open, first “${open[0].title}”. Do them, or leave them out with a reason.`,
        { open: open.map((s) => s.key) },
      )
    await changeVisit(trx, id, visit.version, { state: 'done', finishedAt: now.toISOString() })
    await removeVisitReadings(trx, id)
    await insertReadings(trx, actor.firmId, pondReadings(visit, states))
    const today = todayIn(actor.timeZone, now)
    await closeVisitTasks(trx, visit, states, today)
    const [from, to] = visit.job.followUpDays
    // most kinds of visits ask for nothing afterwards
    if (visit.job.followUpReadings.length === 0) return
    await insertFollowUp(trx, actor.firmId, {
      pondId: visit.pondId,
      visitId: id,
      title: visit.job.followUpTitle,
      readings: visit.job.followUpReadings,
      dueFrom: addDays(today, from),
      dueTo: addDays(today, to),
    })
  })
}

/** The readings of a log that describe the pond; tap and tank belong to the visit only. */
function pondReadings(visit: VisitInContext, states: ReadonlyMap<string, StepState>): NewReading[] {
  return [...states.values()].flatMap((state) =>
    state.status !== 'done'
      ? []
      : (Object.entries(state.entry.answer.readings ?? {}) as [ReadingKindName, { value: number; belowStep: boolean }][])
          .filter(([kind]) => !VISIT_ONLY_READINGS.includes(kind))
          .map(([kind, r]) => ({
            pondId: visit.pondId,
            visitId: visit.id,
            kind,
            value: r.value,
            belowStep: r.belowStep,
            method: state.entry.answer.method ?? '',
            takenAt: state.entry.at,
            byId: state.entry.byId,
          })),
  )
}

async function visitOr404(trx: Knex.Transaction, id: VisitId): Promise<VisitInContext> {
  const visit = await findVisit(trx, id)
  if (!visit) throw notFound('That visit')
  return visit
}
