import { addDays } from '../../src/core/numeric/calendar'
import type { CustomerId, PondId } from '../../src/domain/shared/ids'
import type { Actor } from '../../src/server/platform/auth/actor'
import { inFirm } from '../../src/server/platform/db/firm-transaction'
import { listCustomers, listSites } from '../../src/server/customers/customer-repository'
import { askForVisit, makeCustomerLink } from '../../src/server/customers/customer-page'
import { designPage, saveDesign } from '../../src/server/design/designs'
import { findPond } from '../../src/server/ponds/pond-repository'
import { answerProposal, makeProposal } from '../../src/server/proposals/proposals'

const VALID_DAYS = 21
/** A bed longer by so much carries the fish of some years ahead. */
const LARGER = 1.3
const STOP_REASON = 'Drawn before the visit on which it is measured again'

/** What is offered to whom: the kind of pond, and what the customer has said; null waits for an answer. */
const OFFERS: readonly (readonly [kind: string, title: string, answer: string | null])[] = [
  ['koi', 'A longer bed for grown koi', null],
  ['large', 'More gravel before the summer', null],
  ['family', 'A bed for the fish of the next years', 'Please begin before Easter, we have guests then.'],
]

/** What customers have asked for on their pages: text, and whether it cannot wait. */
const WISHES: readonly (readonly [text: string, urgent: boolean])[] = [
  ['The pump hums and the falls are thinner than last week.', true],
  ['Could you look at the lily when you are next here? It has no new leaves.', false],
  ['We would like a bench at the edge: how near may it stand?', false],
]

/** Proposals before customers and answered, and what customers have asked for. */
export async function officeLife(
  owner: Actor,
  ponds: readonly { readonly id: PondId; readonly kind?: string }[],
  today: string,
): Promise<void> {
  for (const [kind, title, answer] of OFFERS) {
    const pond = ponds.find((candidate) => candidate.kind === kind)!
    await offer(owner, pond.id, { title, answer, today })
  }
  for (const [i, [text, urgent]] of WISHES.entries()) {
    const pond = ponds[11 + i * 17]!
    const { token } = await makeCustomerLink(owner, await customerOf(owner, pond.id))
    await askForVisit(token, { pondId: pond.id, text, urgent, from: null })
  }
}

async function offer(
  owner: Actor,
  pondId: PondId,
  { title, answer, today }: { readonly title: string; readonly answer: string | null; readonly today: string },
): Promise<void> {
  const built = (await designPage(owner, pondId)).designs.find(({ state }) => state === 'built')!
  const bed = { ...built.bed, lengthM: Number((built.bed.lengthM * LARGER).toFixed(2)), planting: [] }
  const { id } = await saveDesign(owner, pondId, { name: 'Longer bed', bed, overrideReason: '' })
  const { token } = await makeProposal(owner, pondId, {
    title,
    intro: 'Your bed works as it was drawn. The fish have grown since; this one carries them.',
    validUntil: addDays(today, VALID_DAYS),
    options: [{ designId: id, why: 'The same bed, longer by a third.' }],
    whatIfId: null,
    stopReason: STOP_REASON,
  })
  if (answer === null) return
  const { name } = await customerAt(owner, pondId)
  await answerProposal(token, { answer: 'accepted', name, option: 0, note: answer })
}

const customerAt = (owner: Actor, pondId: PondId) =>
  inFirm(owner.firmId, async (trx) => {
    const { siteId } = (await findPond(trx, pondId))!
    const { customerId } = (await listSites(trx)).find((site) => site.id === siteId)!
    return (await listCustomers(trx)).find((customer) => customer.id === customerId)!
  })

const customerOf = async (owner: Actor, pondId: PondId): Promise<CustomerId> => (await customerAt(owner, pondId)).id
