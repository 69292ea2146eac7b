import { randomUUID } from 'node:crypto'
import type { Random } from '../../src/core/numeric/random'
import { GATES_THAT_HOLD } from '../../src/core/visits/gates'
import type { VisitStep } from '../../src/core/visits/step'
import type { EntryId, PhotoId } from '../../src/domain/shared/ids'
import { EntryInput, type FindingUse, type VisitInContext } from '../../src/domain/visits/visit'
import type { FishLine } from '../../src/domain/ponds/pond'
import type { Actor } from '../../src/server/platform/auth/actor'
import { onEntryLogged } from '../../src/server/field/consequences'
import { inFirm } from '../../src/server/platform/db/firm-transaction'
import { addPhoto } from '../../src/server/visits/photos'
import { appendEntry } from '../../src/server/visits/entry-repository'
import { changeVisit, listEntries } from '../../src/server/visits/visit-repository'
import { plausibleAnswer, type Seen } from './answers'

/** The island's clock. */
export const UTC_OFFSET = '-03:00'

/** One visit in four is photographed; the others have nothing new to show. */
const PHOTOGRAPHED = 0.25
const FOUND_SOMETHING = 1 / 7
const FOUND: readonly (readonly [string, FindingUse])[] = [
  ['Edge stone by the steps is loose', 'quote'],
  ['Falls lip leaks at the left, stones under it are wet', 'follow-up'],
  ['Reeds crowd the skimmer mouth', 'next-season'],
  ['Pump is louder than last time', 'follow-up'],
  ['Lily has outgrown its basket', 'next-season'],
  ['Customer asks for a light at the falls', 'quote'],
]

export interface VisitToLog {
  readonly visit: VisitInContext
  readonly seen: Seen
  readonly fish: readonly FishLine[]
  /** Steps that are done by now, 0..1; 1 ends the visit. */
  readonly share: number
  readonly pictures: readonly Buffer[]
}

type Line = EntryInput extends infer Input ? (Input extends EntryInput ? Omit<Input, 'id' | 'at'> : never) : never

/** Writes a visit's log as its crew did: all its lines at once, with all that follows from them. */
export async function logVisit(lead: Actor, todo: VisitToLog, random: Random): Promise<void> {
  const entries = linesOf(todo, random)
  const finished = entries.find((entry) => entry.kind === 'finished')
  const { visit } = todo
  await inFirm(lead.firmId, async (trx) => {
    for (const entry of entries) await appendEntry(trx, lead.firmId, visit.id, lead.userId, entry, undefined)
    const state = finished ? ('done' as const) : ('under-way' as const)
    await changeVisit(trx, visit.id, visit.version, {
      state,
      startedAt: entries[0]!.at,
      ...(finished ? { finishedAt: finished.at, ending: 'done' as const, endingReason: '' } : {}),
    })
    const log = await listEntries(trx, visit.id)
    for (const entry of entries)
      if (entry.kind === 'finding' || entry.kind === 'finished')
        await onEntryLogged(trx, lead, { ...visit, state: entry.kind === 'finished' ? state : 'under-way' }, log, entry)
  })
  const photoSteps = new Set(visit.job.steps.filter(({ kind }) => kind === 'photo').map(({ key }) => key))
  for (const entry of entries) {
    if (entry.kind !== 'done' || !photoSteps.has(entry.stepKey)) continue
    const picture = todo.pictures[Math.floor(random() * todo.pictures.length)]!
    const { stepKey, at: takenAt } = entry
    await addPhoto(lead, visit.id, { id: uuid<PhotoId>(), stepKey, takenAt, pairOf: null, sketchOf: null }, picture)
  }
}

/** What crews take over the same work: some are quicker. */
const HANDS: Readonly<Record<string, number>> = { Otter: 0.9, Kingfisher: 1.12, Newt: 1.02, Heron: 1.18, Vole: 0.96 }

/** The lines of a log up to the wanted share of the steps. */
function linesOf({ visit, seen, fish, share }: VisitToLog, random: Random): EntryInput[] {
  const { steps } = visit.job
  const { handsMin, machineMin } = visit.estimate
  const hands = handsMin * (HANDS[visit.crewName] ?? 1) * (0.84 + 0.24 * random())
  const pace = ((hands + machineMin) * 60_000) / (steps.length + 1)
  const photographed = random() < PHOTOGRAPHED
  let at = Date.parse(`${visit.day}T${visit.startTime}:00${UTC_OFFSET}`)
  const entries: EntryInput[] = []
  // a visit that has just ended was not slower than the clock
  const log = (line: Line) =>
    entries.push(
      EntryInput.parse({ ...line, id: uuid<EntryId>(), at: new Date(Math.min(at, Date.now())).toISOString() }),
    )
  log({ kind: 'started' })
  for (const step of steps.slice(0, Math.round(steps.length * share))) {
    at += pace
    if (step.waits) log({ kind: 'timer-started', stepKey: step.key })
    if (step.waits) at += (step.timerMinutes ?? 0) * 60_000
    const reason = skips(step, photographed)
    log(
      reason
        ? { kind: 'skipped', stepKey: step.key, reason, replaces: null }
        : {
            kind: 'done',
            stepKey: step.key,
            answer: plausibleAnswer(step, seen, fish, random),
            confirmedUnlikely: true,
            replaces: null,
          },
    )
  }
  if (share < 1) return entries
  at += pace
  if (random() < FOUND_SOMETHING) {
    const [text, becomes] = FOUND[Math.floor(random() * FOUND.length)]!
    log({ kind: 'finding', stepKey: null, text, becomes })
  }
  log({ kind: 'finished', ending: 'done', reason: '' })
  return entries
}

const uuid = <Id extends string>() => randomUUID() as string as Id

/** Why a step is passed over; null where it is done. */
function skips(step: VisitStep, photographed: boolean): string | null {
  if (step.kind === 'photo' && !photographed) return 'As in the last pictures'
  if (step.gate !== undefined && GATES_THAT_HOLD.includes(step.gate)) return null
  if (step.gate !== undefined) return 'Not called for today'
  return step.kind === 'dose' ? 'Tests ask for none' : null
}
