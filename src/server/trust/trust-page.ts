import { addDays } from '@/core/numeric/calendar'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { callTrust, durationTrust, isLeakCall, volumeTrust, type PondVolumes } from '@/domain/trust/trust'
import { listActedOn } from '@/server/diagnosis/diagnosis-repository'
import { accuracyIn } from '@/server/forecasts/forecasts'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { todayIn } from '@/server/platform/today'
import { listMeasuredOften } from '@/server/ponds/pond-repository'
import { listVisitsAsPlanned } from '@/server/visits/duration-repository'

/** Older visits tell of older ways of planning. */
const DURATIONS_DAYS = 366
/** A shape takes some time to work out: so many of the ponds that were measured in several ways are looked at. */
const MOST_PONDS = 60

/** What was said of forecasts, durations, volumes and causes, held against what came. */
export async function trustPage(actor: Actor) {
  assertMay(actor, 'houseRules.write')
  return inFirm(actor.firmId, async (trx) => {
    const today = todayIn(actor.timeZone)
    const since = addDays(today, -DURATIONS_DAYS)
    const ponds = (await listMeasuredOften(trx, MOST_PONDS)).map((pond): PondVolumes => {
      const { evidence, adopted } = savedPondFacts(pond)
      return { pondId: pond.id, pondName: `${pond.siteName}: ${pond.name}`, evidence, open: adopted.open }
    })
    const calls = await listActedOn(trx)
    return {
      accuracy: await accuracyIn(trx, today),
      durations: { since, lines: durationTrust(await listVisitsAsPlanned(trx, since)) },
      volumes: volumeTrust(ponds),
      calls: { all: callTrust(calls), leaks: callTrust(calls.filter(isLeakCall)) },
    }
  })
}
export type TrustData = Awaited<ReturnType<typeof trustPage>>
