import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { CrewId, FirmId } from '@/domain/shared/ids'
import type { BusyTime } from '@/domain/rounds/busy-times'

export interface CrewBusy extends BusyTime {
  readonly crewId: CrewId
  readonly source: string
}

/** Puts what a calendar says in place of what the same calendar said before. */
export async function replaceBusy(
  trx: Knex.Transaction,
  firmId: FirmId,
  crewId: CrewId,
  source: string,
  busy: readonly BusyTime[],
): Promise<void> {
  await trx('crew_busy').where({ crew_id: crewId, source }).delete()
  const rows = busy.map((b) => ({
    id: randomUUID(),
    firm_id: firmId,
    crew_id: crewId,
    source,
    uid: b.uid,
    day: b.day,
    start_min: b.startMin,
    end_min: b.endMin,
    title: b.title.slice(0, 200),
  }))
  await trx.batchInsert('crew_busy', rows, 500)
}

export async function listBusy(trx: Knex.Transaction, from: string, to: string): Promise<CrewBusy[]> {
  const rows = await trx('crew_busy').whereBetween('day', [from, to]).orderBy(['day', 'start_min'])
  return rows.map((r) => ({
    crewId: r.crew_id,
    source: r.source,
    uid: r.uid,
    day: r.day,
    startMin: r.start_min,
    endMin: r.end_min,
    title: r.title,
  }))
}

/** Calendars read so far, with how much they hold from a day on. */
export async function listBusySources(
  trx: Knex.Transaction,
  from: string,
): Promise<{ crewId: CrewId; source: string; times: number; next: string }[]> {
  const rows = await trx('crew_busy')
    .where('day', '>=', from)
    .groupBy('crew_id', 'source')
    .select<{ crew_id: CrewId; source: string; n: string; next: string }[]>(
      'crew_id',
      'source',
      trx.raw('count(*) as n'),
      trx.raw('min(day) as next'),
    )
  return rows.map((r) => ({ crewId: r.crew_id, source: r.source, times: Number(r.n), next: r.next }))
}

export async function removeBusy(trx: Knex.Transaction, crewId: CrewId, source: string): Promise<number> {
  return trx('crew_busy').where({ crew_id: crewId, source }).delete()
}
