import { readServicePlansCsv, servicePlansCsv } from '@/domain/service-plan-csv'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { findServicePlan, listPlanningPonds, storeServicePlan } from '@/server/db/planning-repository'

export async function servicePlansAsCsv(actor: Actor): Promise<string> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => servicePlansCsv((await listPlanningPonds(trx)).map((p) => ({ site: p.siteName, pond: p.name, lines: p.lines }))))
}

/** Takes service plans over from a CSV; ponds that the file does not name keep theirs. */
export async function importServicePlans(actor: Actor, text: string) {
  assertMay(actor, 'visits.plan')
  const { plans, problems } = readServicePlansCsv(text)
  return inFirm(actor.firmId, async (trx) => {
    const ponds = new Map((await listPlanningPonds(trx)).map((p) => [`${p.siteName}\u0000${p.name}`, p.pondId]))
    const unknown = [...problems]
    let changed = 0
    for (const { site, pond, lines } of plans) {
      const pondId = ponds.get(`${site}\u0000${pond}`)
      if (!pondId) {
        unknown.push({ line: 1, message: `There is no pond “${pond}” at “${site}”.` })
        continue
      }
      const kept = await findServicePlan(trx, pondId)
      if (JSON.stringify(kept.lines) === JSON.stringify(lines)) continue
      await storeServicePlan(trx, actor.firmId, pondId, kept.version, lines)
      changed++
    }
    return { changed, problems: unknown }
  })
}
