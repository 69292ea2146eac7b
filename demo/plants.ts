import { addDays } from '../src/core/numeric/calendar'
import type { PondId } from '../src/domain/shared/ids'
import { PlantLine } from '../src/domain/plants/plants'
import type { Actor } from '../src/server/platform/auth/actor'
import { addPatch, logPlant, takeOverPlanting } from '../src/server/plants/patches'
import { pondPlants } from '../src/server/plants/pond-plants'

/** Groups in the ponds themselves: pond, species, plants, place on the plan, and what was last seen of them. */
const GROUPS: readonly [string, string, number, number, number, Partial<PlantLine>][] = [
  ['lanternhouse', 'nymphaea-alba', 2, 4.4, -0.2, { condition: 'yellow' }],
  ['lanternhouse', 'canna-hybrids', 4, 0.8, 0.1, {}],
  ['lanternhouse', 'ceratophyllum-demersum', 8, 2.4, -0.4, {}],
  ['museum', 'nymphaea-odorata', 2, 3, 2, { condition: 'crowded' }],
  ['museum', 'cyperus-papyrus', 2, 0.8, 1.2, {}],
  ['brewery', 'eichhornia-crassipes', 6, 1.5, 1.5, {}],
]
/** Whose beds were planted as the filter bench drew them. */
export const BEDS = ['lanternhouse', 'highcairn', 'swim']

/** What grows where, as the crews have written it down over two seasons. */
export async function plantGroups(owner: Actor, ponds: ReadonlyMap<string, PondId>, today: string): Promise<void> {
  const [planted, autumn] = [addDays(today, -560), addDays(today, -45)]
  for (const key of BEDS) await takeOverPlanting(owner, ponds.get(key)!, planted)
  for (const [key, species, count, xM, yM, seen] of GROUPS) {
    const { id } = await addPatch(owner, ponds.get(key)!, {
      patch: { place: 'pond', species, xM, yM, plantedOn: planted },
      count,
    })
    if (seen.condition) await logPlant(owner, id, { on: autumn, line: PlantLine.parse({ action: 'look', ...seen }) })
  }
  // one group has thinned out, another gave pieces away
  const { patches } = await pondPlants(owner, ponds.get('lanternhouse')!)
  const inBed = patches.filter((p) => p.place === 'bed')
  const thin = inBed.find((p) => p.species === 'pontederia-cordata')!
  await logPlant(owner, thin.id, {
    on: autumn,
    line: PlantLine.parse({ action: 'look', condition: 'thin', count: Math.max(1, thin.count - 3) }),
  })
  const flag = inBed.find((p) => p.species === 'iris-versicolor')!
  await logPlant(owner, flag.id, {
    on: autumn,
    line: PlantLine.parse({ action: 'deadhead', note: 'Before the seed fell' }),
  })
}
