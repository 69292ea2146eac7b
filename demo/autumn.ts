import { randomUUID } from 'node:crypto'
import { addDays, isoWeekday } from '../src/core/numeric/calendar'
import type { Random } from '../src/core/numeric/random'
import type { CrewId, EntryId, PhotoId, PondId } from '../src/domain/shared/ids'
import type { EntryInput } from '../src/domain/visits/visit'
import type { Actor } from '../src/server/platform/auth/actor'
import { logEntry } from '../src/server/field/log'
import { fieldVisit } from '../src/server/field/pack'
import { addPhoto } from '../src/server/visits/photos'
import { planVisit } from '../src/server/visits/visit-planning'
import { paintPond } from './pictures'

interface Netting {
  readonly pondId: PondId
  readonly crewId: CrewId
  readonly day: string
  readonly start: string
  readonly net: string
  readonly found?: string
}

type Line = EntryInput extends infer E ? (E extends EntryInput ? Omit<E, 'id' | 'at'> : never) : never

/** A netting visit of this autumn: the net is on the pond, something was found. */
export async function pastNetting(
  office: Actor,
  lead: Actor,
  { pondId, crewId, day, start, net, found }: Netting,
  random: Random,
): Promise<void> {
  const on = isoWeekday(day) > 5 ? addDays(day, 8 - isoWeekday(day)) : day
  const at = (minutes: number) => new Date(Date.parse(`${on}T${start}:00-03:00`) + minutes * 60_000)
  const id = await planVisit(
    office,
    { pondId, visitType: 'netting', day: on, startTime: start, crewId, note: '' },
    at(-60),
  )
  let minutes = 0
  let paceMin = 0
  const log = (line: Line) => {
    minutes += paceMin
    const now = at(minutes)
    return logEntry(lead, id, { ...line, id: randomUUID() as EntryId, at: now.toISOString() } as EntryInput, now)
  }
  await log({ kind: 'started' })
  const { visit } = await fieldVisit(lead, id)
  // about as long as such work is reckoned at
  paceMin = (1.06 * visit.estimate.handsMin) / visit.job.steps.length
  for (const step of visit.job.steps) {
    if (step.kind === 'photo') {
      const photo = {
        id: randomUUID() as PhotoId,
        stepKey: step.key,
        takenAt: at(minutes).toISOString(),
        pairOf: null,
        sketchOf: null,
      }
      await addPhoto(lead, id, photo, await paintPond('murky', random))
    }
    const answer = {
      note: '',
      ...(step.kind === 'sign' ? { signedBy: 'the customer' } : {}),
      ...(step.figures?.includes('cuttingBuckets') ? { figures: { cuttingBuckets: 7 } } : {}),
    }
    const needsTests =
      (step.required ?? []).length > 0 ||
      step.kind === 'count-fish' ||
      step.kind === 'decide' ||
      step.gate !== undefined
    await log(
      needsTests
        ? { kind: 'skipped', stepKey: step.key, reason: 'Tested last week', replaces: null }
        : { kind: 'done', stepKey: step.key, answer, confirmedUnlikely: false, replaces: null },
    )
  }
  await log({ kind: 'gear', gearId: null, gearKind: 'net', name: net, state: 'on-pond', place: 'Pinned all round' })
  await log({
    kind: 'gear',
    gearId: null,
    gearKind: 'shade-cloth',
    name: 'Shade cloth',
    state: 'stored',
    place: 'Customer’s shed, left wall',
  })
  if (found) await log({ kind: 'finding', stepKey: null, text: found, becomes: 'next-season' })
  await log({ kind: 'finished', ending: 'done', reason: '' })
}
