import { VISIT_TYPES } from '@/core/visits/visit-types'
import { usualInWords } from '@/server/visits/usual-in-words'
import { lostParts, withOwn, type KeptPart, type OwnVisitType } from '@/domain/visits/own-visit-type'
import { notFound, ProblemError } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findOwnVisitType, listOwnVisitTypeKeys, storeOwnVisitType } from '@/server/visits/own-visit-type-repository'
import { said } from '@/domain/shared/said'

/** Visit types, and which of them the firm does its own way. */
export async function visitTypesPage(actor: Actor) {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const own = await listOwnVisitTypeKeys(trx)
    return VISIT_TYPES.map(({ key, steps }) => ({ key, steps: steps.length, own: own.has(key) }))
  })
}
export type VisitTypesData = Awaited<ReturnType<typeof visitTypesPage>>

/** One visit type as it stands, and as it usually is. */
export async function visitTypePage(actor: Actor, key: string) {
  assertMay(actor, 'ponds.read')
  const usual = usualInWords(key)
  if (!usual) throw notFound('visitType')
  return inFirm(actor.firmId, async (trx) => {
    const { job, version } = await findOwnVisitType(trx, key)
    return {
      key,
      usual,
      now: withOwn(usual, job, version),
      own: job !== undefined,
      version,
      mayWrite: may(actor.role, 'houseRules.write'),
    }
  })
}
export type VisitTypeData = Awaited<ReturnType<typeof visitTypePage>>

const lostSaid = ({ title, why }: KeptPart) => said(`visits.lostParts.${why}`, { title })

/** Saves the firm's own steps; null goes back to the usual ones. Visits that are planned keep the copy they have. */
export async function saveVisitType(
  actor: Actor,
  key: string,
  version: number,
  job: OwnVisitType | null,
): Promise<void> {
  assertMay(actor, 'houseRules.write')
  const usual = usualInWords(key)
  if (!usual) throw notFound('visitType')
  const lost = job ? lostParts(usual, job.steps) : []
  if (lost.length > 0)
    throw new ProblemError({
      kind: 'bad-input',
      message: lostSaid(lost[0]!),
      fields: lost.map((part) => {
        const at = job!.steps.findIndex((s) => s.key === part.stepKey)
        return {
          path: at < 0 ? 'job.steps' : `job.steps.${at}.safety`,
          message: lostSaid(part),
        }
      }),
    })
  await inFirm(actor.firmId, (trx) => storeOwnVisitType(trx, actor.firmId, key, version, job, actor.userId))
}
