import type { FilterDesign } from '@/core/filter/design-input'
import { isStanding, type Design } from '@/domain/design/design'
import type { FoundFilter } from '@/domain/proposals/proposal'
import { randomBytes, randomUUID } from 'node:crypto'
import { addDays } from '@/core/numeric/calendar'
import { evaluateDesign } from '@/core/filter/design'
import { estimate } from '@/core/pricing/estimate'
import type { PondId, ProposalId } from '@/domain/shared/ids'
import {
  OPTION_LABELS,
  type AnswerInput,
  type ProposalContent,
  type ProposalInput,
  type ProposalState,
} from '@/domain/proposals/proposal'
import { badField, notFound, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { database } from '@/server/platform/db/connection'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { findPriceBook } from '@/server/prices/price-repository'
import {
  findProposal,
  hashLink,
  insertProposal,
  listProposalLines,
  moveProposal,
  replaceLink,
  type ProposalLine,
} from '@/server/proposals/proposal-repository'
import { sendJobIn } from '@/server/platform/queue/queue'
import { todayIn } from '@/server/platform/today'
import { designContext, needsReason, openStops, STOP_REASON_LENGTH } from '@/server/design/designs'
import { proposedOutlook } from './proposed-outlook'
import { weather } from '@/server/season/weather'
import { said } from '@/domain/shared/said'

const newToken = (): string => randomBytes(24).toString('base64url')

/** Proposals of all ponds, the newest first. */
export async function proposalList(actor: Actor): Promise<{ proposals: ProposalLine[]; today: string }> {
  assertMay(actor, 'prices.read')
  return { proposals: await inFirm(actor.firmId, (trx) => listProposalLines(trx)), today: todayIn(actor.timeZone) }
}

type ProposedDraft = Omit<ProposalInput, 'stopReason'> & { readonly stopReason?: string }

/**
 * Makes a proposal of one to three saved versions, priced today.
 * @returns the secret of its private link; it is stored nowhere else
 */
// eslint-disable-next-line max-lines-per-function -- one transaction
export async function makeProposal(
  actor: Actor,
  pondId: PondId,
  { stopReason = '', ...input }: ProposedDraft,
): Promise<{ id: ProposalId; number: number; token: string }> {
  assertMay(actor, 'proposals.write')
  if (input.validUntil < todayIn(actor.timeZone))
    throw badField('validUntil', said('proposals.problems.dayPastGiveOneCustomer'))
  const { stations } = await weather()
  // the runs take seconds: before anything is locked
  const outlook = input.whatIfId ? await proposedOutlook(actor, pondId, input.whatIfId) : undefined
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const context = await designContext(trx, actor, pond, stations)
    const designs = await listDesigns(trx, pondId)
    const stops = new Set(
      input.options
        .flatMap(({ designId }) => designs.find((d) => d.id === designId) ?? [])
        .flatMap((d) => openStops(context, d.bed)),
    )
    if (stops.size > 0 && stopReason.length < STOP_REASON_LENGTH) throw needsReason([...stops])
    const { book } = await findPriceBook(trx)
    const stock = { pumps: context.pumps, rules: context.rules, pond: context.designPond }
    const options = input.options.map(({ designId, why }, i) => {
      const design = designs.find((d) => d.id === designId)
      if (!design) throw badField(`options.${i}.designId`, said('proposals.problems.versionPond'))
      const price = estimate(design.bed, book, stock)
      return {
        label: input.options.length === 1 ? '' : OPTION_LABELS[i]!,
        why,
        designNumber: design.number,
        design: design.bed,
        ...pumpsFor(design.bed, context),
        totalMinor: price.totalMinor,
        taxMinor: price.taxMinor,
      }
    })
    const content: ProposalContent = {
      title: input.title,
      intro: input.intro,
      firmName: actor.firmName,
      customerName: pond.customerName,
      siteName: pond.siteName,
      pondName: pond.name,
      units: actor.preferences.units,
      currency: book.currency,
      pond: context.designPond,
      rules: context.rules,
      houseMethod: context.houseMethod,
      options,
      found: foundFilter(designs, context),
      outlook,
    }
    const token = newToken()
    const id = randomUUID() as ProposalId
    const number = await insertProposal(trx, {
      id,
      firmId: actor.firmId,
      pondId,
      by: actor.userId,
      content,
      validUntil: input.validUntil,
      stopReason,
      token,
    })
    return { id, number, token }
  })
}

export async function withdrawProposal(actor: Actor, id: ProposalId): Promise<void> {
  assertMay(actor, 'proposals.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findProposal(trx, id))) throw notFound('proposal')
    if (!(await moveProposal(trx, id, 'sent', 'withdrawn')))
      throw refused(said('proposals.problems.customerAnsweredAlreadyWithdrawnBefore'))
  })
}

/** A renewed link is good for so many days where the proposal's own day is past. */
const RENEWED_DAYS = 30

/** A fresh private link; the old one stops working. One that is past its day gets a new day too. */
export async function renewLink(actor: Actor, id: ProposalId): Promise<{ token: string }> {
  assertMay(actor, 'proposals.write')
  const token = newToken()
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findProposal(trx, id))) throw notFound('proposal')
    const today = todayIn(actor.timeZone)
    if (!(await replaceLink(trx, id, token, { today, until: addDays(today, RENEWED_DAYS) })))
      throw refused(said('proposals.problems.onlyProposalWaitsAnswerLink'))
  })
  return { token }
}

export interface PublicProposal {
  readonly content: ProposalContent
  readonly number: number
  readonly state: ProposalState
  readonly validUntil: string
  readonly madeAt: string
  readonly expired: boolean
  readonly answerName: string | null
  readonly answerOption: number | null
  readonly answeredAt: string | null
}

/**
 * What the private link opens. Customers hold no account and no time zone: a day counts until it is over everywhere.
 */
export async function publicProposal(token: string): Promise<PublicProposal> {
  const { rows } = await database().raw('select * from door_proposal(?)', [hashLink(token)])
  const [row] = rows
  if (!row) throw notFound('thisProposal')
  return {
    content: row.content,
    number: row.number,
    state: row.state,
    validUntil: row.valid_until,
    madeAt: row.made_at.toISOString(),
    expired: row.valid_until < lastPlaceToday(),
    answerName: row.answer_name,
    answerOption: row.answer_option,
    answeredAt: row.answered_at?.toISOString() ?? null,
  }
}

const lastPlaceToday = (): string => todayIn('Etc/GMT+12')

/** The customer's answer, once. @throws {ProblemError} 'refused' when it was answered before or is past its day */
export async function answerProposal(token: string, input: AnswerInput): Promise<void> {
  const { content, state, expired } = await publicProposal(token)
  if (input.answer === 'accepted' && input.option >= content.options.length)
    throw badField('option', said('proposals.problems.chooseOneOptions'))
  if (state !== 'sent') throw refused(said('proposals.problems.proposalAnsweredAlready'))
  if (expired) throw refused(said('proposals.problems.proposalPastDayAskNew', { firmName: content.firmName }))
  const place = await database().raw('select * from door_proposal_place(?)', [hashLink(token)])
  const { firm_id: firmId, proposal_id: proposalId } = place.rows[0]
  await inFirm(firmId, async (trx) => {
    const { rows } = await trx.raw('select door_answer_proposal(?, ?, ?, ?, ?, ?) as done', [
      hashLink(token),
      input.answer,
      input.name,
      input.answer === 'accepted' ? input.option : null,
      input.note,
      lastPlaceToday(),
    ])
    if (!rows[0].done) throw refused(said('proposals.problems.proposalAnsweredAlready'))
    // who waits for it is told in the same breath
    await sendJobIn(trx, 'tell-answer', { firmId, proposalId })
  })
}

/** The filter that was found at a pond and still stands; null where there is none, or another was built since. */
function foundFilter(
  designs: readonly Design[],
  context: Awaited<ReturnType<typeof designContext>>,
): FoundFilter | null {
  const standing = designs.find(isStanding)
  if (standing?.state !== 'found') return null
  return { designNumber: standing.number, design: standing.bed, ...pumpsFor(standing.bed, context) }
}

/** Pumps that a design is worked out with, to be frozen with it. */
function pumpsFor(
  design: FilterDesign,
  context: Awaited<ReturnType<typeof designContext>>,
): Pick<FoundFilter, 'pump' | 'morePumps'> {
  return {
    pump: evaluateDesign({ ...context, pond: context.designPond, design }).pump,
    morePumps: context.pumps.filter((p) => design.network?.morePumps.includes(p.id)),
  }
}
