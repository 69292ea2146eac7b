import type { Knex } from 'knex'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { systemVolumeOf } from '@/domain/ponds/system-volume'
import type { VisitInContext } from '@/domain/visits/visit'
import type { StepState } from '@/domain/visits/visit-progress'
import type { Actor } from '@/server/platform/auth/actor'
import { bedMaterialsAt } from '@/server/house-rules/filter-rules'
import { listDesigns } from '@/server/design/design-repository'
import { insertFinding, removeFinding } from '@/server/visits/finding-repository'
import { findPond, setMeteredFill } from '@/server/ponds/pond-repository'
import { firmTexts } from '@/messages/texts'

/**
 * A meter that is further than this from the survey filled something else: part of a pond, or a hose that ran away.
 * @source house default
 */
const FURTHEST_OFF = 0.4

/**
 * What a meter said of a first fill corrects the pond's volume: less what stands beside the pond and in the filter,
 * it is the pond's own metered
 * fill, weighed with the other measurements wherever a volume is used. One that cannot be the whole is left to the
 * office as a finding.
 */
export async function noteMeteredFill(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  states: ReadonlyMap<string, StepState>,
  day: string,
): Promise<void> {
  const fills = [...states.values()].flatMap((s) =>
    s.status === 'done' && s.entry.answer.figures?.fillM3 ? [s.entry] : [],
  )
  const entry = fills.at(-1)
  if (!entry) return
  const pond = (await findPond(trx, visit.pondId))!
  const { adopted } = savedPondFacts({ ...pond, meteredFillM3: null })
  const surveyed = adopted.volumeM3
  // the filter that is being filled is built, or approved and built on this visit
  const designs = (await listDesigns(trx, pond.id)).map((d) =>
    d.state === 'approved' ? { ...d, state: 'built' as const } : d,
  )
  const { besideM3, filterVoidsM3 } = systemVolumeOf(pond, adopted, designs, await bedMaterialsAt(trx, pond))
  const metered = entry.answer.figures!.fillM3!
  const pondM3 = metered - besideM3 - filterVoidsM3
  const whole = Math.abs(pondM3 - surveyed) <= FURTHEST_OFF * surveyed
  await removeFinding(trx, entry.id)
  if (!whole) {
    const text = firmTexts()('survey.meteredFill.notAdopted', {
      metered: metered.toFixed(1),
      expected: (surveyed + besideM3 + filterVoidsM3).toFixed(1),
    })
    return insertFinding(trx, actor.firmId, {
      id: entry.id,
      pondId: pond.id,
      visitId: visit.id,
      becomes: 'quote',
      text,
      foundOn: day,
    })
  }
  const meteredFillM3 = Number(pondM3.toFixed(3))
  if (pond.meteredFillM3 === meteredFillM3) return
  await setMeteredFill(trx, pond.id, meteredFillM3, savedPondFacts({ ...pond, meteredFillM3 }).adopted.volumeM3)
}
