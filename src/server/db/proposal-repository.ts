import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import type { FirmId, PondId, ProposalId, UserId } from '@/domain/ids'
import type { Proposal, ProposalContent, ProposalState } from '@/domain/proposal'

/** Only the hash is kept: a copy of the table opens no proposal. */
export const hashLink = (token: string): string => createHash('sha256').update(token).digest('hex')

const toProposal = (r: Record<string, never>): Proposal => ({
  id: r.id,
  pondId: r.pond_id,
  number: r.number,
  state: r.state,
  content: r.content,
  validUntil: r.valid_until,
  madeAt: (r.made_at as Date).toISOString(),
  answerName: r.answer_name,
  answerOption: r.answer_option,
  answerNote: r.answer_note,
  answeredAt: r.answered_at ? (r.answered_at as Date).toISOString() : null,
})

interface NewProposal {
  readonly id: ProposalId
  readonly firmId: FirmId
  readonly pondId: PondId
  readonly by: UserId
  readonly content: ProposalContent
  readonly validUntil: string
  readonly token: string
}

/** @returns the proposal's number, counting up within the firm */
export async function insertProposal(trx: Knex.Transaction, made: NewProposal): Promise<number> {
  // one number at a time; other rows of the firm may still be written meanwhile
  await trx('firms').forNoKeyUpdate().first('id')
  const last = await trx('proposals').max('number as number').first()
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
    made_by: made.by,
  })
  return number
}

export const listProposals = async (trx: Knex.Transaction, pondId: PondId): Promise<Proposal[]> =>
  (await trx('proposals').where({ pond_id: pondId }).orderBy('number', 'desc')).map(toProposal)

export async function findProposal(trx: Knex.Transaction, id: ProposalId): Promise<Proposal | undefined> {
  const row = await trx('proposals').where({ id }).first()
  return row && toProposal(row)
}

/** @returns whether it still stood in the state it is moved from */
export const moveProposal = async (trx: Knex.Transaction, id: ProposalId, from: ProposalState, to: ProposalState): Promise<boolean> =>
  (await trx('proposals').where({ id, state: from }).update({ state: to })) > 0

/** A new secret for the link; the old one opens nothing any more. */
export const replaceLink = async (trx: Knex.Transaction, id: ProposalId, token: string): Promise<boolean> =>
  (await trx('proposals')
    .where({ id, state: 'sent' })
    .update({ token_hash: hashLink(token) })) > 0
