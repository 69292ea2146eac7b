import type { Knex } from 'knex'
import type { WeekChoice } from '@/core/trainer/play'
import type { ScenarioKey } from '@/core/trainer/scenarios'
import type { FirmId, PracticeGameId, UserId } from '@/domain/shared/ids'
import type { PracticeGame } from '@/domain/trainer/practice-game'

/** Begins a season; one of the same scenario that is not finished ends. */
export async function insertPracticeGame(
  trx: Knex.Transaction,
  firmId: FirmId,
  game: Pick<PracticeGame, 'id' | 'userId' | 'scenario' | 'seed'>,
): Promise<void> {
  await trx('practice_games').where({ user_id: game.userId, scenario: game.scenario, finished_at: null }).delete()
  await trx('practice_games').insert({ id: game.id, firm_id: firmId, user_id: game.userId, scenario: game.scenario, seed: game.seed })
}

/** Only to the person who plays it. */
export async function findPracticeGame(trx: Knex.Transaction, id: PracticeGameId, userId: UserId, lock = false): Promise<PracticeGame | undefined> {
  const query = trx('practice_games').where({ id, user_id: userId }).first()
  const row = await (lock ? query.forUpdate() : query)
  return row && gameOf(row)
}

/** A person's seasons, the newest first. */
export async function listPracticeGames(trx: Knex.Transaction, userId: UserId): Promise<PracticeGame[]> {
  return (await trx('practice_games').where({ user_id: userId }).orderBy('started_at', 'desc')).map(gameOf)
}

export async function storeWeeks(
  trx: Knex.Transaction,
  id: PracticeGameId,
  choices: readonly WeekChoice[],
  ended: { readonly points: number; readonly reeds: number } | null,
): Promise<void> {
  await trx('practice_games')
    .where({ id })
    .update({ choices: JSON.stringify(choices), ...(ended ? { ...ended, finished_at: trx.fn.now() } : {}) })
}

/** @returns whether there was one that is not finished */
export async function deleteOpenGame(trx: Knex.Transaction, id: PracticeGameId, userId: UserId): Promise<boolean> {
  return (await trx('practice_games').where({ id, user_id: userId, finished_at: null }).delete()) > 0
}

export interface TeamBest {
  readonly name: string
  readonly scenario: ScenarioKey
  readonly seasons: number
  readonly best: number
  readonly reeds: number
}

/** Everybody's best season of each scenario. */
export async function listTeamBests(trx: Knex.Transaction): Promise<TeamBest[]> {
  const rows = await trx('practice_games as g')
    .join('users as u', 'u.id', 'g.user_id')
    .whereNotNull('g.finished_at')
    .groupBy('u.id', 'u.name', 'g.scenario')
    .orderBy('u.name')
    .select('u.name', 'g.scenario')
    .select(trx.raw('count(*) as seasons, max(g.points) as best, max(g.reeds) as reeds'))
  return rows.map((r) => ({ name: r.name, scenario: r.scenario, seasons: Number(r.seasons), best: r.best, reeds: r.reeds }))
}

const gameOf = (r: Record<string, never> & { started_at: Date; finished_at: Date | null }): PracticeGame => ({
  id: r.id,
  userId: r.user_id,
  scenario: r.scenario,
  seed: r.seed,
  choices: r.choices,
  points: r.points,
  reeds: r.reeds,
  startedAt: r.started_at.toISOString(),
  finishedAt: r.finished_at?.toISOString() ?? null,
})
