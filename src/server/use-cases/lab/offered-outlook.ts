import { setImmediate } from 'node:timers/promises'
import { freezeComparison } from '@/core/ecosystem/frozen-comparison'
import type { PondId, WhatIfId } from '@/domain/ids'
import { savedPondFacts } from '@/domain/pond-facts'
import type { OfferedOutlook } from '@/domain/proposal'
import { badField, notFound } from '@/domain/problems'
import { comparisonOf } from '@/domain/what-if'
import type { Actor } from '@/server/auth/actor'
import { database } from '@/server/db/connection'
import { inFirm } from '@/server/db/firm-transaction'
import { findPond } from '@/server/db/pond-repository'
import { listStations } from '@/server/db/weather-repository'
import { findWhatIf } from '@/server/db/what-if-repository'
import { todayIn } from '@/server/today'
import { labPond } from './lab-pond'

/** A customer reads a season of it, in bands of so many runs: what one request may take to work out. */
const MOST_DAYS = 180
const MEMBERS = 20

/** The outcome of a kept what-if as it goes with a proposal: worked out here, whatever a browser may have shown. */
export async function offeredOutlook(actor: Actor, pondId: PondId, id: WhatIfId): Promise<OfferedOutlook> {
  const stations = await listStations(database())
  const { whatIf, lab, basin } = await inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('That pond')
    const whatIf = await findWhatIf(trx, id, pondId)
    if (!whatIf) throw badField('whatIfId', 'That what-if is not kept for this pond any more. Choose another, or none.')
    return { whatIf, lab: await labPond(trx, actor, pond, stations, todayIn(actor.timeZone)), basin: savedPondFacts(pond).basin }
  })
  if (!lab) throw badField('whatIfId', 'No weather is known for this pond: choose its station at the site, or make the proposal without a what-if.')
  const comparison = comparisonOf({ ...whatIf, days: Math.min(whatIf.days, MOST_DAYS) }, lab)
  const frozen = await freezeComparison(comparison, MEMBERS, () => setImmediate())
  return { ...frozen, question: whatIf.name, names: whatIf.ways.map((way) => way.name), basin }
}
