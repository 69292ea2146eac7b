import { randomUUID } from 'node:crypto'
import { workOutDesign } from '@/core/filter/design'
import { firstDesign } from '@/core/filter/first-design'
import type { DesignInput } from '@/domain/design'
import type { DesignId, PondId } from '@/domain/ids'
import { savedPondFacts } from '@/domain/pond-facts'
import { filterPracticeOf } from '@/domain/practice'
import { badField, notFound } from '@/domain/problems'
import { assertMay, type Actor } from '@/server/auth/actor'
import { insertDesign, listDesigns } from '@/server/db/design-repository'
import { findFirm } from '@/server/db/firm-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { findPond } from '@/server/db/pond-repository'
import { designPond } from './design-pond'
import { seasonOf } from './season'
import { weather } from './weather'

/** What the filter bench opens with: the pond, its saved versions, and a bed to begin from. */
export async function designBench(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('That pond')
    const { practice } = await findFirm(trx)
    const forDesign = designPond(pond, savedPondFacts(pond), await seasonOf(trx, actor.firmId, pond, practice, stations))
    return {
      pond,
      designPond: forDesign,
      houseSchool: practice.school,
      practice: filterPracticeOf(practice),
      designs: await listDesigns(trx, pondId),
      start: firstDesign(forDesign, practice.school, filterPracticeOf(practice)),
    }
  })
}

/** Keeps a design as the pond's next version. Worked out again here: what a browser says of its own results is not believed. */
export async function saveDesign(actor: Actor, pondId: PondId, input: DesignInput): Promise<{ id: DesignId; number: number }> {
  assertMay(actor, 'designs.write')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('That pond')
    const { practice } = await findFirm(trx)
    if (input.bed.school !== practice.school && input.overrideReason === '')
      throw badField('overrideReason', 'This version follows another school than the house. Say why, so that the next reader knows.')
    const forDesign = designPond(pond, savedPondFacts(pond), await seasonOf(trx, actor.firmId, pond, practice, stations))
    const result = workOutDesign({ pond: forDesign, design: input.bed, practice: filterPracticeOf(practice), houseSchool: practice.school })
    const id = randomUUID() as DesignId
    const number = await insertDesign(trx, actor.firmId, id, pondId, actor.userId, input, { areaM2: result.areaM2, flowM3PerH: result.flowM3PerH })
    return { id, number }
  })
}
