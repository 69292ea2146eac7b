import type { VisitId } from '@/domain/shared/ids'
import { longDate } from '@/domain/shared/dates'
import { notFound, refused } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'
import { mayBecome } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { assertFree, crewOr404 } from '@/server/visits/visit-planning'
import { changeVisit, findSecondDay, findVisit } from '@/server/visits/visit-repository'

/** Takes a visit off the plan; a cleanout of two days whole. */
export async function cancelVisit(actor: Actor, id: VisitId, version: number): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('visit')
    if (!mayBecome(visit.state, 'cancelled')) throw refused(said('visits.problems.visitBegunCannotTakenOff'))
    const first = visit.legOf ? await findVisit(trx, visit.legOf) : undefined
    if (first?.state === 'planned')
      throw refused(said('visits.problems.withoutDayFishWouldCome', { longDate: longDate(first.day) }))
    await changeVisit(trx, id, version, { state: 'cancelled' })
    const second = await findSecondDay(trx, id)
    if (second?.state === 'planned') await changeVisit(trx, second.id, second.version, { state: 'cancelled' })
  })
}

/** Puts a visit that was taken off back to its day, where its crew is still free then. */
export async function restoreVisit(actor: Actor, id: VisitId): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('visit')
    if (visit.state !== 'cancelled') throw refused(said('visits.problems.visitNotCancelled'))
    const crew = await crewOr404(trx, visit.crewId)
    await assertFree(trx, { day: visit.day, startTime: visit.startTime, minutes: visit.plannedMinutes, crew }, id)
    await changeVisit(trx, id, visit.version, { state: 'planned' })
    const second = await findSecondDay(trx, id, { cancelled: true })
    if (second) await changeVisit(trx, second.id, second.version, { state: 'planned' })
  })
}
