import { firmTexts } from '@/messages/texts'
import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import type { PondTask } from '@/core/schedule/needs/pond-work'
import type { CareAction, CareTask } from '@/core/plants/care-rules'
import { seasonBegins, seasonYearOf, type SeasonFrom } from '@/core/season/season-year'
import { dayIn } from '@/domain/shared/dates'
import { PondId } from '@/domain/shared/ids'
import { type PatchNow } from '@/domain/plants/plants'
import type { Entry, VisitInContext } from '@/domain/visits/visit'
import type { Actor } from '@/server/platform/auth/actor'
import { insertPlantEvents } from '@/server/plants/plant-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { plantsOf, type DayHere } from './plants-of'
import { speciesName } from '@/messages/plants/species-name'

/** Care that a plan takes along as a task of its own; the rest is what plant care visits come for. */
const PLANNED_CARE: Readonly<Partial<Record<CareAction, { minutesEach: number; prefers: readonly string[] }>>> = {
  divide: { minutesEach: 12, prefers: ['plant-care', 'spring-startup', 'spring-cleanout', 'routine'] },
  'plant-out': { minutesEach: 8, prefers: ['plant-care', 'routine'] },
  'look-at-roots': { minutesEach: 5, prefers: ['plant-care', 'routine'] },
  lift: { minutesEach: 10, prefers: ['netting', 'plant-care', 'routine'] },
  'cut-back': { minutesEach: 8, prefers: ['netting', 'winter-shutdown', 'plant-care'] },
}

export const PLANT_TASK = 'p-'
/** One task for all groups of a pond that ask for the same in a year. */
const taskId = (action: CareAction, year: number, pondId: PondId) => `${PLANT_TASK}${action}.${year}.${pondId}`

function parts(id: string): { action: CareAction; pondId: PondId } {
  const [action, , pondId] = id.slice(PLANT_TASK.length).split('.')
  return { action: action as CareAction, pondId: PondId.parse(pondId) }
}

/** What plants ask for until a day and a plan should take along. */
export async function duePlantTasks(
  trx: Knex.Transaction,
  { today, timeZone }: DayHere,
  until: string,
): Promise<(PondTask & { pondId: PondId })[]> {
  const found = new Map<string, PondTask & { pondId: PondId }>()
  const look = async (start: string, seasonFrom: SeasonFrom | null) => {
    for (const task of await tasksFrom(trx, { today: start, timeZone }, until, seasonFrom))
      if (!found.has(task.id)) found.set(task.id, task)
  }
  await look(today, null)
  // a plan for the coming season goes on from its first day
  for (const seasonFrom of [1, 7] as const)
    for (let year = seasonYearOf(today, seasonFrom) + 1; seasonBegins(year, seasonFrom) <= until; year++)
      await look(seasonBegins(year, seasonFrom), seasonFrom)
  return [...found.values()]
}

async function tasksFrom(
  trx: Knex.Transaction,
  start: DayHere,
  until: string,
  /** Only of ponds whose season years begin so. */
  seasonFrom: SeasonFrom | null,
): Promise<(PondTask & { pondId: PondId })[]> {
  return (await plantsOf(trx, start)).flatMap(({ pond, patches, tasks }) => {
    if (seasonFrom !== null && pond.seasonFrom !== seasonFrom) return []
    const actions = [...new Set(tasks.filter((task) => task.due <= until).map((task) => task.action))]
    return actions.flatMap((action) => {
      const rule = PLANNED_CARE[action]
      if (!rule) return []
      const all = tasks.filter((task) => task.action === action)
      return [
        {
          id: taskId(action, seasonYearOf(all[0]!.due, pond.seasonFrom), pond.pondId),
          pondId: pond.pondId,
          title: `${firmTexts()(`plants.plantActionNames.${action}`)}: ${listOf(all, patches)}`,
          from: all[0]!.due,
          to: all
            .map((task) => task.latest)
            .sort()
            .at(-1)!,
          minutes: rule.minutesEach * all.length,
          prefers: rule.prefers,
        },
      ]
    })
  })
}

const SHOWN = 4

function listOf(tasks: readonly CareTask[], patches: readonly PatchNow[]): string {
  const names = [
    ...new Set(
      tasks.map((t) => speciesName(patches.find((p) => p.id === t.patchId)!.species, firmTexts()).toLowerCase()),
    ),
  ]
  return names.length > SHOWN
    ? `${names.slice(0, SHOWN).join(', ')} and ${names.length - SHOWN} more`
    : names.join(', ')
}

/** A planned plant task that was done on a visit is written down at every group that asked for it. */
export async function closePlantTask(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  id: string,
  entry: Entry,
): Promise<void> {
  const { action, pondId } = parts(id)
  const [plants] = await plantsOf(
    trx,
    { today: dayIn(entry.at, actor.timeZone), timeZone: actor.timeZone },
    await listPlanningPonds(trx, [pondId]),
  )
  if (!plants) return
  await insertPlantEvents(
    trx,
    actor.firmId,
    plants.tasks
      .filter((task) => task.action === action)
      .map((task) => ({
        // the same line again when the log is read again
        id: uuidOf(`${visit.id}:${task.patchId}:${action}`),
        patchId: task.patchId,
        action,
        condition: null,
        count: null,
        kept: 0,
        note: '',
        at: entry.at,
        byId: entry.byId,
        visitId: visit.id,
      })),
  )
}

/** A uuid that follows from a text (RFC 9562, version 8). */
function uuidOf(text: string): string {
  const hex = createHash('sha256').update(text).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}
