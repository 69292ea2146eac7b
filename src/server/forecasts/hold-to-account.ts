import type { Knex } from 'knex'
import type { DatedReading } from '@/core/assimilation/reading'
import type { ForecastMade } from '@/core/assimilation/forecast-pond'
import { scoresOf, type Issued } from '@/core/assimilation/issued'
import { SCORED_KINDS } from '@/core/assimilation/scored'
import { OUTLOOK_DAYS } from '@/core/assimilation/outlook'
import { addDays } from '@/core/numeric/calendar'
import { listDailyReadings } from '@/server/water/reading-repository'
import { issuedSince, keepIssued, keepScores, type FirmPond, type OfEpoch } from './accuracy-repository'

/** Tests may come in so long after they were made and are still held against what had been forecast. */
const LATE_DAYS = 45
/** The pond's usual at a time of year is told by so many days of tests. */
const USUAL_DAYS = 3 * 366

interface Given extends FirmPond {
  readonly epoch: string
  readonly today: string
  readonly timeZone: string
  readonly deepestM: number
}

/**
 * Keeps a forecast as it is given out, and holds the tests on file against those that had been given out before
 * them.
 */
export async function holdToAccount(
  trx: Knex.Transaction,
  given: Given,
  { issued, lookedBack }: Pick<ForecastMade, 'issued' | 'lookedBack'>,
): Promise<void> {
  const { pondId, epoch, today, timeZone, deepestM } = given
  await keepIssued(trx, given, { ...issued, epoch })
  const out = await issuedSince(trx, pondId, addDays(today, -OUTLOOK_DAYS - LATE_DAYS))
  const readings = (await listDailyReadings(trx, pondId, addDays(today, -USUAL_DAYS), timeZone)).flatMap(
    ({ kind, ...r }): DatedReading[] => SCORED_KINDS.flatMap((k) => (k === kind ? [{ ...r, kind: k }] : [])),
  )
  const scored = (of: readonly OfEpoch<Issued>[]) => {
    const epochOn = new Map(of.map((o) => [o.on, o.epoch]))
    return scoresOf(of, readings, deepestM).map((score) => ({ ...score, epoch: epochOn.get(score.issuedOn)! }))
  }
  await keepScores(trx, given, scored(out), false)
  await keepScores(trx, given, scored(lookedBack.map((each) => ({ ...each, epoch }))), true)
}
