import type { PondId, WhatIfId } from '@/domain/shared/ids'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { ProposedOutlook } from '@/domain/proposals/proposal'
import { badField, notFound } from '@/domain/shared/problems'
import { comparisonOf } from '@/domain/forecasts/what-if'
import type { Actor } from '@/server/platform/auth/actor'
import { database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { listStations } from '@/server/season/weather-repository'
import { findWhatIf } from '@/server/forecasts/what-if-repository'
import { todayIn } from '@/server/platform/today'
import { pondModel } from '@/server/forecasts/pond-model'
import { heavy } from '@/server/platform/threads/heavy'
import { said } from '@/domain/shared/said'

/** A customer reads a season of it, in bands of so many runs: what one request may take to work out. */
const MAX_DAYS = 180
const MEMBERS = 20

/** The outcome of a kept what-if as it goes with a proposal: worked out here, whatever a browser may have shown. */
export async function proposedOutlook(actor: Actor, pondId: PondId, id: WhatIfId): Promise<ProposedOutlook> {
  const stations = await listStations(database())
  const { whatIf, model, basin } = await inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const whatIf = await findWhatIf(trx, id, pondId)
    if (!whatIf) throw badField('whatIfId', said('proposals.problems.whatIfKeptPondMore'))
    return {
      whatIf,
      model: await pondModel(trx, actor, pond, stations, todayIn(actor.timeZone)),
      basin: savedPondFacts(pond).basin,
    }
  })
  if (!model) throw badField('whatIfId', said('proposals.problems.weatherKnownPondChooseStation'))
  const comparison = comparisonOf({ ...whatIf, days: Math.min(whatIf.days, MAX_DAYS) }, model)
  const frozen = await heavy('frozen-comparison', { comparison, members: MEMBERS })
  return { ...frozen, question: whatIf.name, names: whatIf.options.map((option) => option.name), basin }
}
