import { answerLetter } from '@/messages/proposals/answer-letter'
import { firmTexts } from '@/messages/texts'
import type { FirmId, ProposalId } from '@/domain/shared/ids'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPeople } from '@/server/people/people-repository'
import { findAnswer } from '@/server/proposals/proposal-repository'
import { mailGateway } from '@/server/platform/gateways/mail'

/**
 * Tells a proposal's author and the office what the customer answered. Safe to be called twice: each letter has one
 * id.
 * @throws no letter could be handed in
 */
export async function tellAnswer(firmId: FirmId, proposalId: ProposalId): Promise<void> {
  const read = await inFirm(firmId, async (trx) => ({
    answer: await findAnswer(trx, proposalId),
    people: await listPeople(trx),
    firm: await findFirm(trx),
  }))
  const { answer, people, firm } = read
  if (!answer) return
  const outbox = mailGateway(process.env.MAIL_URL)
  if (!outbox) throw new Error('MAIL_URL is not set')
  const base = (process.env.PUBLIC_URL ?? '').replace(/\/$/, '')
  const { subject, text } = answerLetter(
    { ...answer, href: base === '' ? '' : `${base}/ponds/${answer.pondId}/design` },
    firmTexts(),
  )
  const told = people.filter((p) => p.active && (p.id === answer.madeById || p.role === 'office'))
  // a firm without an office has an owner who waits for it
  const recipients = told.length > 0 ? told : people.filter((p) => p.active && p.role === 'owner')
  for (const person of recipients)
    await outbox.send({
      id: `${proposalId}-answer-${person.id}`,
      from: `"${firm.name.replaceAll('"', '')}" <${process.env.MAIL_FROM || 'office@localhost'}>`,
      to: person.email,
      subject,
      text,
    })
}
