import type { RowOf } from '@/server/platform/db/column-types'
import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import type { FirmId, PondId, ProposalId, UserId } from '@/domain/shared/ids'
import type { Proposal, ProposalContent, ProposalState } from '@/domain/proposals/proposal'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    proposals: { state: ProposalState; content: ProposalContent }
  }
}

/** Only the hash is kept: a copy of the table opens no proposal. */
export const hashLink = (token: string): string => createHash('sha256').update(token).digest('hex')

const toProposal = (r: RowOf<'proposals'>): Proposal => ({
  id: r.id,
  pondId: r.pond_id,
  number: r.number,
  state: r.state,
  content: r.content,
  validUntil: r.valid_until,
  madeAt: r.made_at.toISOString(),
  answerName: r.answer_name,
  answerOption: r.answer_option,
  answerNote: r.answer_note,
  answeredAt: r.answered_at?.toISOString() ?? null,
})

interface NewProposal {
  readonly id: ProposalId
  readonly firmId: FirmId
  readonly pondId: PondId
  readonly by: UserId
  readonly content: ProposalContent
  readonly validUntil: string
  readonly token: string
  readonly stopReason: string
}

/** @returns the proposal's number, counting up within the firm */
export async function insertProposal(trx: Knex.Transaction, made: NewProposal): Promise<number> {
  // one number at a time; other rows of the firm may still be written meanwhile
  await trx('firms').forNoKeyUpdate().first('id')
  const last = await trx('proposals').max<{ number: number | null }[]>('number as number').first()
  const number = Number(last?.number ?? 0) + 1
  await trx('proposals').insert({
    id: made.id,
    firm_id: made.firmId,
    pond_id: made.pondId,
    number,
    state: 'sent',
    content: JSON.stringify(made.content),
    valid_until: made.validUntil,
    token_hash: hashLink(made.token),
    stop_reason: made.stopReason,
    made_by: made.by,
  })
  return number
}

export const listProposals = async (trx: Knex.Transaction, pondId: PondId): Promise<Proposal[]> =>
  (await trx('proposals').where({ pond_id: pondId }).orderBy('number', 'desc')).map(toProposal)

/** A proposal in one line. */
export interface ProposalLine {
  readonly id: ProposalId
  readonly pondId: PondId
  readonly number: number
  readonly title: string
  readonly siteName: string
  readonly pondName: string
  readonly customerName: string
  readonly state: ProposalState
  readonly madeAt: string
  readonly validUntil: string
  readonly answeredAt: string | null
  /** What its options come to, the cheapest and the dearest, tax included; of one accepted, that one. */
  readonly totalMinor: readonly [cheapest: number, dearest: number]
  readonly currency: string
}

/** Proposals of some ponds, or of all, the newest first. */
export async function listProposalLines(trx: Knex.Transaction, pondIds?: readonly PondId[]): Promise<ProposalLine[]> {
  const all = trx('proposals as r')
    .join('ponds as p', 'p.id', 'r.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .orderBy('r.number', 'desc')
    .select('r.*', 'p.name as pond_name', 's.name as site_name', 'c.name as customer_name')
  return (await (pondIds ? all.whereIn('r.pond_id', pondIds) : all)).map((r) => {
    const { options, title, currency }: ProposalContent = r.content
    const totals = options
      .filter((_, i) => r.state !== 'accepted' || r.answer_option === null || i === r.answer_option)
      .map((o) => o.totalMinor)
    return {
      id: r.id,
      pondId: r.pond_id,
      number: r.number,
      title,
      siteName: r.site_name,
      pondName: r.pond_name,
      customerName: r.customer_name,
      state: r.state,
      madeAt: r.made_at.toISOString(),
      validUntil: r.valid_until,
      answeredAt: r.answered_at?.toISOString() ?? null,
      totalMinor: [Math.min(...totals), Math.max(...totals)],
      currency,
    }
  })
}

export interface ProposalAnswer {
  readonly id: ProposalId
  readonly pondId: PondId
  readonly number: number
  readonly title: string
  readonly siteName: string
  readonly state: ProposalState
  readonly answerName: string
  /** Label of the accepted option; null where there was one, or none was accepted. */
  readonly option: string | null
  readonly answeredAt: string
  readonly madeByName: string
}

/** Answers of customers since a moment, the newest first. */
export async function listAnswers(trx: Knex.Transaction, since: Date): Promise<ProposalAnswer[]> {
  const rows = await trx('proposals as r')
    .join('ponds as p', 'p.id', 'r.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .leftJoin('users as u', 'u.id', 'r.made_by')
    .whereIn('r.state', ['accepted', 'declined'])
    .where('r.answered_at', '>=', since)
    .orderBy('r.answered_at', 'desc')
    .select(
      'r.id',
      'r.pond_id',
      'r.number',
      'r.state',
      'r.content',
      'r.answer_name',
      'r.answer_option',
      'r.answered_at',
      's.name as site_name',
      'u.name as by_name',
    )
  return rows.map((r) => ({
    id: r.id,
    pondId: r.pond_id,
    number: r.number,
    title: r.content.title,
    siteName: r.site_name,
    state: r.state,
    answerName: r.answer_name ?? '',
    option: r.content.options[r.answer_option]?.label || null,
    answeredAt: r.answered_at.toISOString(),
    madeByName: r.by_name ?? '',
  }))
}

/** An answer that was given, for those who are told of it. */
export async function findAnswer(trx: Knex.Transaction, id: ProposalId) {
  const row = await trx('proposals as r')
    .join('ponds as p', 'p.id', 'r.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .where('r.id', id)
    .whereIn('r.state', ['accepted', 'declined'])
    .first(
      'r.number',
      'r.state',
      'r.content',
      'r.answer_name',
      'r.answer_option',
      'r.answer_note',
      'r.made_by',
      'r.pond_id',
      's.name as site_name',
    )
  return (
    row && {
      number: row.number as number,
      title: row.content.title as string,
      siteName: row.site_name as string,
      accepted: row.state === 'accepted',
      answerName: (row.answer_name ?? '') as string,
      option: (row.content.options[row.answer_option]?.label || null) as string | null,
      note: (row.answer_note ?? '') as string,
      madeById: row.made_by as UserId,
      pondId: row.pond_id as PondId,
    }
  )
}

export async function findProposal(trx: Knex.Transaction, id: ProposalId): Promise<Proposal | undefined> {
  const row = await trx('proposals').where({ id }).first()
  return row && toProposal(row)
}

/** @returns whether it still stood in the state it is moved from */
export const moveProposal = async (
  trx: Knex.Transaction,
  id: ProposalId,
  from: ProposalState,
  to: ProposalState,
): Promise<boolean> => (await trx('proposals').where({ id, state: from }).update({ state: to })) > 0

/** A new secret for the link; the old one opens nothing any more. */
export const replaceLink = async (
  trx: Knex.Transaction,
  id: ProposalId,
  token: string,
  renewed: { readonly today: string; readonly until: string },
): Promise<boolean> =>
  (await trx('proposals')
    .where({ id, state: 'sent' })
    .update({
      token_hash: hashLink(token),
      valid_until: trx.raw('case when valid_until < ? then ?::date else valid_until end', [
        renewed.today,
        renewed.until,
      ]),
    })) > 0
