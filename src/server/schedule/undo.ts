import type { TakeoverId } from '@/domain/shared/ids'
import { refused } from '@/domain/shared/problems'
import type { Takeover } from '@/domain/schedule/takeover'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listCrews } from '@/server/people/people-repository'
import { barredBy, latestTakeover, markUndone, type KeptTakeover } from '@/server/schedule/takeover-repository'
import { changeVisit, findVisit } from '@/server/visits/visit-repository'
import { assertNoOverlap, lockCrews } from './no-overlap'
import { said } from '@/domain/shared/said'

const counted = ({ visits }: KeptTakeover): number => visits.filter((v) => !v.shifted).length

/** The plan that was taken over last, and whether that can still be undone; null when there is none. */
export async function lastTakeover(actor: Actor): Promise<Takeover | null> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const kept = await latestTakeover(trx)
    return kept
      ? {
          id: kept.id,
          at: kept.at.toISOString(),
          byName: kept.byName,
          visits: counted(kept),
          barred: await barredBy(trx, kept),
        }
      : null
  })
}

/**
 * Puts everything back as it was before a plan was taken over: new visits are called off, moved ones go back. Only
 * the last plan, and only
 * until something in it was done or told.
 * @throws {ProblemError} something has begun, somebody was told, another plan came after it, or an hour is not free
 * any more
 */
export async function undoTakeover(actor: Actor, id: TakeoverId): Promise<{ undone: number }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    await lockCrews(
      trx,
      (await listCrews(trx)).map((crew) => crew.id),
    )
    const kept = await latestTakeover(trx, { lock: true })
    if (kept?.id !== id) throw refused(said('schedule.problems.planUndoneAnotherOneAccepted'))
    const barred = await barredBy(trx, kept)
    if (barred)
      throw refused(
        said('schedule.problems.planCannotUndoneMoreVisit', {
          siteName: barred.siteName,
          barred: barred.code,
        }),
      )
    const back: { crewId: string; day: string }[] = []
    for (const { visitId, before } of kept.visits) {
      const visit = await findVisit(trx, visitId)
      if (!visit || visit.state !== 'planned') continue
      await changeVisit(trx, visitId, visit.version, before ?? { state: 'cancelled' })
      if (before) back.push(before)
    }
    await assertNoOverlap(trx, back, said('schedule.problems.moveOneThemFirst'))
    await markUndone(trx, id)
    return { undone: counted(kept) }
  })
}
