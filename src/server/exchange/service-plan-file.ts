import { readServicePlansCsv, servicePlansCsv } from '@/domain/schedule/service-plan-csv'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findServicePlan, listPlanningPonds, storeServicePlan } from '@/server/schedule/planning-repository'
import { said } from '@/domain/shared/said'
import { rowProblemsInWords } from '@/messages/problem-body'
import { firmTexts } from '@/messages/texts'

export async function servicePlansAsCsv(actor: Actor): Promise<string> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) =>
    servicePlansCsv(
      (await listPlanningPonds(trx)).map((p) => ({
        customer: p.customer.name,
        site: p.siteName,
        pond: p.name,
        lines: p.lines,
      })),
    ),
  )
}

/**
 * Takes service plans over from a CSV; ponds that the file does not name keep theirs. A pond is known by its
 * customer, site and name;
 * without the customer only where no other customer has one of the same names.
 * @param preview says what would come of it, and writes nothing
 */
export async function importServicePlans(actor: Actor, text: string, preview = false) {
  assertMay(actor, 'visits.plan')
  const { plans, problems } = readServicePlansCsv(text)
  return inFirm(actor.firmId, async (trx) => {
    const ponds = await listPlanningPonds(trx)
    const unknown = [...problems]
    const rows: { line: number; name: string; what: 'changed' | 'same'; fields: string[] }[] = []
    for (const { customer, site, pond, lines, line } of plans) {
      const meant = ponds.filter(
        (p) => p.siteName === site && p.name === pond && (customer === '' || p.customer.name === customer),
      )
      if (meant.length !== 1) {
        unknown.push({
          line,
          message:
            meant.length === 0
              ? said('exchange.problems.noSuchPond', { pond, site, customer: customer || '_' })
              : said('exchange.problems.severalPonds', {
                  count: meant.length,
                  pond,
                  site,
                  customers: meant.map((p) => p.customer.name).join(', '),
                }),
        })
        continue
      }
      const kept = await findServicePlan(trx, meant[0]!.pondId)
      const same = JSON.stringify(kept.lines) === JSON.stringify(lines)
      rows.push({
        line,
        name: `${meant[0]!.customer.name}, ${site}: ${pond}`,
        what: same ? 'same' : 'changed',
        fields: lines.map((l) => l.job),
      })
      if (!same && !preview) await storeServicePlan(trx, actor.firmId, meant[0]!.pondId, kept.version, lines)
    }
    const count = (what: 'changed' | 'same') => rows.filter((r) => r.what === what).length
    return {
      changed: count('changed'),
      same: count('same'),
      rows,
      problems: rowProblemsInWords(unknown, firmTexts()).sort((a, b) => a.line - b.line),
      preview,
    }
  })
}
