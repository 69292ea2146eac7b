import type { Knex } from 'knex'
import type { LevelLog } from '@/core/season/water-balance'
import type { FirmId, PondId, UserId } from '@/domain/shared/ids'

export async function insertLevelLog(
  trx: Knex.Transaction,
  id: string,
  firmId: FirmId,
  pondId: PondId,
  by: UserId,
  log: LevelLog,
): Promise<void> {
  await trx('level_logs').insert({
    id,
    firm_id: firmId,
    pond_id: pondId,
    day: log.day,
    hours: log.hours,
    drop_mm: log.dropMm,
    bucket_drop_mm: log.bucketDropMm,
    pump_on: log.pumpOn,
    added_m3: log.addedM3,
    by_id: by,
  })
}

/** A pond's level logs since a day, newest first. */
export async function listLevelLogs(trx: Knex.Transaction, pondId: PondId, since: string): Promise<LevelLog[]> {
  const rows = await trx('level_logs').where({ pond_id: pondId }).where('day', '>=', since).orderBy('day', 'desc')
  return rows.map((r) => ({
    day: r.day,
    hours: r.hours,
    dropMm: r.drop_mm,
    bucketDropMm: r.bucket_drop_mm,
    pumpOn: r.pump_on,
    addedM3: r.added_m3,
  }))
}
