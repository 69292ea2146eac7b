import type { Knex } from 'knex'
import { SAID, type ScoreSums } from '@/core/assimilation/accuracy'
import { insideShare } from '@/core/statistics/pit'
import { pastScoreOf, type Issued, type Score } from '@/core/assimilation/issued'
import type { Lead } from '@/core/assimilation/leads'
import type { ScoredKind } from '@/core/assimilation/scored'
import type { PastScore } from '@/core/assimilation/stretch'
import type { FirmId, PondId } from '@/domain/shared/ids'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    issued_forecasts: { forecast: Issued }
    forecast_scores: { kind: ScoredKind; lead: Lead }
  }
}

export interface FirmPond {
  readonly firmId: FirmId
  readonly pondId: PondId
}

/** A forecast or score with what the pond was when it was forecast: another survey, filter or stock is another one. */
export type OfEpoch<Of> = Of & { readonly epoch: string }

const SHORT_DIGITS = 4
/** A forecast a night and pond adds up: figures no longer than what a test could tell. */
const shortJson = (issued: Issued): string =>
  JSON.stringify(issued, (_, value: unknown) =>
    typeof value === 'number' ? Number(value.toPrecision(SHORT_DIGITS)) : value,
  )

/** Keeps a forecast as it is given out today: the last one of a day is the one that people see. */
export async function keepIssued(
  trx: Knex.Transaction,
  { firmId, pondId }: FirmPond,
  { epoch, ...issued }: OfEpoch<Issued>,
): Promise<void> {
  await trx('issued_forecasts')
    .insert({ pond_id: pondId, firm_id: firmId, epoch, issued_on: issued.on, forecast: shortJson(issued) })
    .onConflict(['pond_id', 'issued_on'])
    .merge()
}

/** Forecasts given out from a day on; older ones have been held against every test that may still come, and go. */
export async function issuedSince(trx: Knex.Transaction, pondId: PondId, since: string): Promise<OfEpoch<Issued>[]> {
  await trx('issued_forecasts').where('pond_id', pondId).where('issued_on', '<', since).delete()
  const rows = await trx('issued_forecasts').where('pond_id', pondId).orderBy('issued_on').select('epoch', 'forecast')
  return rows.map(({ epoch, forecast }) => ({ ...forecast, epoch }))
}

/**
 * Keeps scores. One of a forecast that was given out takes the place of an earlier one of the same test; one that
 * was only looked back on never does.
 */
export async function keepScores(
  trx: Knex.Transaction,
  { firmId, pondId }: FirmPond,
  scores: readonly OfEpoch<Score>[],
  lookedBack: boolean,
): Promise<void> {
  if (scores.length === 0) return
  const rows = scores.map(({ off, leadDays, issuedOn, placed, test, ...s }) => ({
    ...s,
    inside: insideShare(placed),
    placed_low: placed.low,
    placed_high: placed.high,
    test_low: test.low,
    test_high: test.high,
    test_scatter: test.scatter,
    pond_id: pondId,
    firm_id: firmId,
    issued_on: issuedOn,
    looked_back: lookedBack,
    lead_days: leadDays,
    off: off.forecast,
    last_off: off.last,
    usual_off: off.usual,
  }))
  const kept = trx('forecast_scores').insert(rows).onConflict(['pond_id', 'kind', 'day', 'lead'])
  await (lookedBack ? kept.ignore() : kept.merge())
}

const SUMS = [
  'count(*)::int as tests',
  'sum(inside) as inside',
  'sum(abs(read - middle)) as missed',
  'count(last_off)::int as last_tests',
  'coalesce(sum(off) filter (where last_off is not null), 0) as last_forecast',
  'coalesce(sum(last_off), 0) as last_other',
  'count(usual_off)::int as usual_tests',
  'coalesce(sum(off) filter (where usual_off is not null), 0) as usual_forecast',
  'coalesce(sum(usual_off), 0) as usual_other',
].join(', ')

interface SumsRow {
  kind: ScoredKind
  lead: Lead
  pond_id: PondId
  cluster: string
  tests: number
  inside: number
  missed: number
  last_tests: number
  last_forecast: number
  last_other: number
  usual_tests: number
  usual_forecast: number
  usual_other: number
}

const scoresOf = (trx: Knex.Transaction, since: string, pondId?: PondId) => {
  const rows = trx('forecast_scores').where('day', '>=', since)
  return pondId ? rows.where('pond_id', pondId) : rows
}

/** Ponds below which tests of one day at one pond are taken for what errs alike, not all tests of a pond. */
const FEW_PONDS = 6

/**
 * Scores in sums, by what hangs together.
 * @param pondId all ponds where left out
 * @param withUsual only tests that the season's usual is known for
 */
export async function listScoreSums(
  trx: Knex.Transaction,
  since: string,
  { pondId, withUsual = false }: { readonly pondId?: PondId; readonly withUsual?: boolean } = {},
): Promise<ScoreSums[]> {
  const those = () => {
    const all = scoresOf(trx, since, pondId)
    return withUsual ? all.whereNotNull('usual_off') : all
  }
  const [counted] = await those().countDistinct({ ponds: 'pond_id' })
  const cluster = Number(counted?.ponds ?? 0) < FEW_PONDS ? `pond_id::text || ' ' || day::text` : 'pond_id::text'
  const rows = await those()
    .groupByRaw('1, 2, 3, 4')
    .orderByRaw('1, 2, 3, 4')
    .select<SumsRow[]>(trx.raw(`kind, lead, pond_id, ${cluster} as cluster, ${SUMS}`))
  return rows.map((r) => ({
    kind: r.kind,
    lead: r.lead,
    pondId: r.pond_id,
    cluster: r.cluster,
    tests: r.tests,
    inside: r.inside,
    missed: r.missed,
    overLast: { tests: r.last_tests, forecast: r.last_forecast, other: r.last_other },
    overUsual: { tests: r.usual_tests, forecast: r.usual_forecast, other: r.usual_other },
  }))
}

/**
 * Of what was said about a week ahead of lines being crossed, how much came true: by the lower bound of what was
 * said. A test counts once.
 */
export async function listSaid(
  trx: Knex.Transaction,
  since: string,
  pondId?: PondId,
): Promise<{ from: number; tests: number; crossed: number }[]> {
  const bin = `case ${[...SAID]
    .reverse()
    .map((from) => `when past >= ${from} then ${from}`)
    .join(' ')} end`
  const rows = await scoresOf(trx, since, pondId)
    .whereNotNull('past')
    .where('lead', 'middle')
    .groupByRaw('1')
    .select<{ said: number; tests: number; crossed: number }[]>(
      trx.raw(`${bin} as said, count(*)::int as tests, count(*) filter (where crossed)::int as crossed`),
    )
  return rows.map((r) => ({ from: Number(r.said), tests: r.tests, crossed: r.crossed }))
}

/** How earlier forecasts of a pond as it is have done: what its next bands learn from. */
export async function listPastScores(trx: Knex.Transaction, pondId: PondId, epoch: string): Promise<PastScore[]> {
  const rows = await trx('forecast_scores').where({ pond_id: pondId, epoch }).whereNotNull('test_scatter')
  return rows.map(({ kind, lead, day, low, middle, high, stretch, ...r }) =>
    pastScoreOf({
      kind,
      lead,
      day,
      low,
      middle,
      high,
      stretch,
      test: { low: r.test_low!, high: r.test_high!, scatter: r.test_scatter! },
    }),
  )
}

export interface ScoreCounts {
  readonly tests: number
  /** Of them, those that no forecast had been given out for: looked back on when the pond's model began. */
  readonly lookedBack: number
  /** Of them, those of what the pond was before its fish, filter or survey changed. */
  readonly earlier: number
}

/** How many tests the scores stand on. @param epoch of the pond as it is; left out for all ponds */
export async function countScores(
  trx: Knex.Transaction,
  since: string,
  pond?: { readonly id: PondId; readonly epoch: string },
): Promise<ScoreCounts> {
  const rows = scoresOf(trx, since, pond?.id)
  const [row] = await rows.select<ScoreCounts[]>(
    trx.raw(
      `count(distinct (pond_id, kind, day))::int as tests,
       count(distinct (pond_id, kind, day)) filter (where looked_back)::int as "lookedBack",
       count(distinct (pond_id, kind, day)) filter (where epoch <> ?)::int as earlier`,
      [pond?.epoch ?? null],
    ),
  )
  return row!
}
