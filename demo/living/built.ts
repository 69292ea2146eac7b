import { addDays } from '../../src/core/numeric/calendar'
import { seededRandom } from '../../src/core/numeric/random'
import type { PondId } from '../../src/domain/shared/ids'
import type { Actor } from '../../src/server/platform/auth/actor'
import { BEDS } from '../plants'
import type { DemoPond } from '../sites'
import { STORY_EQUIPMENT } from '../stories'
import { buildFilter, type Beds, type BuiltPond } from './filters'
import { inLanes } from './in-lanes'

const SEED = 884_017
const LANES = 4
const BUILT_DAYS = [500, 3200] as const

/** Every pond has its filter, its plants and its equipment. */
export async function buildFilters(
  owner: Actor,
  ponds: readonly (DemoPond & { readonly id: PondId })[],
  today: string,
): Promise<void> {
  const random = seededRandom(SEED)
  const beds: Beds = new Map()
  const built = ponds.map((pond): BuiltPond => {
    const days = BUILT_DAYS[0] + Math.floor(random() * (BUILT_DAYS[1] - BUILT_DAYS[0]))
    return {
      ...pond,
      builtOn: addDays(today, -days),
      planted: BEDS.includes(pond.key),
      fitted: STORY_EQUIPMENT.filter(([key]) => key === pond.key).map(([, kind]) => kind),
      seed: 1 + random() * 1e9,
    }
  })
  await inLanes(built, LANES, (pond) => buildFilter(owner, pond, beds, today))
}
