import type { Knex } from 'knex'
import { addDays } from '@/core/numeric/calendar'
import { plantSpecies } from '@/core/plants/species'
import { CARE_AHEAD_DAYS } from '@/domain/plants/plants'
import { plantsCsv, type SeasonalPlant } from '@/domain/plants/plants-csv'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listStock } from '@/server/stores/stock-repository'
import { todayIn } from '@/server/platform/today'
import { bedOf, keptCuttings, pondGaps } from './gaps'
import { plantsOf, type PondPlants } from './plants-of'
import { firmTexts } from '@/messages/texts'
import { speciesName } from '@/messages/plants/species-name'

/** Care of all ponds that falls due soon, the tender plants with where they are, and the cuttings that are kept. */
export async function allPlants(actor: Actor) {
  assertMay(actor, 'ponds.read')
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const ponds = await plantsOf(trx, { today, timeZone: actor.timeZone })
    const until = addDays(today, CARE_AHEAD_DAYS)
    return {
      today,
      due: ponds
        .map(({ pond, patches, tasks }) => ({ pond, patches, tasks: tasks.filter((t) => t.due <= until) }))
        .filter((p) => p.tasks.length > 0)
        .map(({ pond, patches, tasks }) => ({
          pondId: pond.pondId,
          name: `${pond.siteName}, ${pond.name}`,
          tasks: tasks.map((task) => ({ ...task, species: patches.find((p) => p.id === task.patchId)!.species })),
        })),
      seasonal: ponds.flatMap(tender).sort((a, b) => (a.by < b.by ? -1 : 1)),
      replanting: await replantingOf(trx, ponds),
      cuttings: (await listStock(trx)).filter((item) => item.speciesKey !== null && item.onHand > 0),
      groups: ponds.reduce((sum, p) => sum + p.patches.filter((patch) => patch.count > 0).length, 0),
    }
  })
}
export type AllPlantsData = Awaited<ReturnType<typeof allPlants>>

export async function seasonalCsv(actor: Actor): Promise<string> {
  const t = firmTexts()
  return plantsCsv((await allPlants(actor)).seasonal, (key) => speciesName(key, t), {
    stored: t('plants.nextTask.stored'),
    outside: t('plants.nextTask.outside'),
  })
}

/** Ponds where kept cuttings may close a gap. Each is told of all that is kept: who plants first takes it. */
async function replantingOf(trx: Knex.Transaction, ponds: readonly PondPlants[]) {
  const cuttings = await keptCuttings(trx)
  if (cuttings.every((c) => c.onHand <= 0)) return []
  const found = []
  for (const plants of ponds) {
    // only where something is missing, so that hundreds of green beds are not read
    if (!plants.patches.some((p) => p.count < p.planned || p.condition === 'thin' || p.condition === 'bare')) continue
    const { replanting } = pondGaps(plants, bedOf(await listDesigns(trx, plants.pond.pondId)), cuttings)
    if (replanting.length > 0)
      found.push({ pondId: plants.pond.pondId, name: `${plants.pond.siteName}, ${plants.pond.name}`, replanting })
  }
  return found
}

/** Plants that do not winter outside, with the day by which they are lifted or set out again. */
function tender({ pond, patches, tasks, year }: PondPlants): SeasonalPlant[] {
  return patches.flatMap((patch) => {
    const species = plantSpecies(patch.species)
    if (species?.winter !== 'lift' || patch.count === 0) return []
    const next = tasks.find((t) => t.patchId === patch.id && (t.action === 'lift' || t.action === 'plant-out'))
    const fallback = patch.stored ? year.tenderOut : year.frost
    return [
      {
        patchId: patch.id,
        pondId: pond.pondId,
        site: pond.siteName,
        pond: pond.name,
        species: patch.species,
        count: patch.count,
        stored: patch.stored,
        place: patch.stored ? (patch.history.find((e) => e.action === 'lift')?.note ?? '') : '',
        from: next?.due ?? fallback?.earliest ?? '',
        by: next?.latest ?? fallback?.latest ?? '',
        // whose task is done, or not yet in sight, waits for the coming year
        thisYear: next !== undefined,
      },
    ]
  })
}
