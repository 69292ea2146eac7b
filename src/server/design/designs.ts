import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { FilterDesign } from '@/core/filter/design-input'
import { checkDesign, type CheckId } from '@/core/filter/checks'
import { evaluateDesign } from '@/core/filter/design'
import { placedDesign } from '@/core/site-plan/placed-design'
import { pumpNamesOf } from '@/core/drawing/drawing-set'
import { suggestDesign } from '@/core/filter/suggest'
import { PUMP_CATALOGUE, type CataloguePump } from '@/core/filter/flow/pump-catalogue'
import type { DesignInput } from '@/domain/design/design'
import type { DesignId, PondId } from '@/domain/shared/ids'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { DesignDraft } from '@/domain/design/design-draft'
import { badField, notFound, ProblemError, refused } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { findDesign, insertDesign, listDesigns, moveDesign, reopenOthers } from '@/server/design/design-repository'
import { deleteDesignDraft, findDesignDraft, storeDesignDraft } from '@/server/design/design-draft-repository'
import { registerFitted } from '@/server/equipment/fitted'
import { todayIn } from '@/server/platform/today'
import { filterRulesAt } from '@/server/house-rules/filter-rules'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { findPriceBook } from '@/server/prices/price-repository'
import { listProposals } from '@/server/proposals/proposal-repository'
import { listFirmPumps } from '@/server/prices/pump-repository'
import { listWhatIfs } from '@/server/forecasts/what-if-repository'
import type { WeatherStation } from '@/server/platform/gateways/weather'
import { designPond } from './design-pond'
import { findSite } from '@/server/customers/customer-repository'
import { seasonOf } from '@/server/season/season'
import { weather } from '@/server/season/weather'
import { said } from '@/domain/shared/said'
import { namedPumps } from '@/messages/design/pump-names'
import { firmTexts } from '@/messages/texts'

/** The catalogue and the firm's own pumps; an own pump stands in for one of the catalogue with the same id. */
async function pumpsOf(trx: Knex.Transaction): Promise<CataloguePump[]> {
  const own = await listFirmPumps(trx)
  return [...namedPumps(PUMP_CATALOGUE, firmTexts()).filter((pump) => !own.some((mine) => mine.id === pump.id)), ...own]
}

/** What a design of this pond is worked out with. */
export async function designContext(
  trx: Knex.Transaction,
  actor: Pick<Actor, 'firmId'>,
  pond: PondInContext,
  stations: readonly WeatherStation[],
) {
  const { house, ...by } = await filterRulesAt(trx, pond)
  return {
    designPond: designPond(
      pond,
      savedPondFacts(pond),
      await seasonOf(trx, actor.firmId, pond, house, stations),
      (await findSite(trx, pond.siteId))?.fill ?? null,
    ),
    ...by,
    pumps: await pumpsOf(trx),
  }
}

/**
 * What the filter design page opens with: the pond, its saved versions, prices and proposals, and a bed to begin
 * from.
 */
export async function designPage(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const context = await designContext(trx, actor, pond, stations)
    const seesPrices = may(actor.role, 'prices.read')
    return {
      pond,
      ...context,
      designs: await listDesigns(trx, pondId),
      left: await findDesignDraft(trx, pondId, actor.userId),
      priceBook: seesPrices ? (await findPriceBook(trx)).book : null,
      whatIfs: (await listWhatIfs(trx, pondId)).map(({ id, whatIf }) => ({ id, name: whatIf.name })),
      proposals: seesPrices
        ? (await listProposals(trx, pondId)).map(({ content, ...rest }) => ({
            ...rest,
            title: content.title,
            acceptedOption: rest.answerOption === null ? null : content.options[rest.answerOption]?.label || null,
          }))
        : [],
      start: suggestDesign(context.designPond, context.houseMethod, context.rules, context.pumps),
    }
  })
}
export type DesignPageData = Awaited<ReturnType<typeof designPage>>

/**
 * Keeps a design as the pond's next version. Worked out again here: what a browser says of its own results is not
 * believed.
 */
export async function saveDesign(
  actor: Actor,
  pondId: PondId,
  input: DesignInput,
): Promise<{ id: DesignId; number: number }> {
  assertMay(actor, 'designs.write')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const context = await designContext(trx, actor, pond, stations)
    if (input.bed.sizingMethod !== context.houseMethod && input.overrideReason === '')
      throw badField('overrideReason', said('design.problems.versionUsesAnotherSizingMethod'))
    if (input.bed.pumpId !== null && !context.pumps.some((pump) => pump.id === input.bed.pumpId))
      throw badField('bed.pumpId', said('design.problems.pumpCatalogueMoreChooseAnother'))
    const unknown = Object.keys(input.bed.delivery.fittings).find(
      (key) => !context.rules.tables.fittings.some((f) => f.key === key),
    )
    if (unknown)
      throw badField(`bed.delivery.fittings.${unknown}`, said('design.problems.fittingFirmsTableAddLeave', { unknown }))
    // it stands where its own layout puts it, whatever figures came with it
    const bed = placedDesign(input.bed, context.designPond.ground, context.rules.tables)
    const result = evaluateDesign({ ...context, pond: context.designPond, design: bed })
    const id = randomUUID() as DesignId
    const number = await insertDesign(
      trx,
      actor.firmId,
      id,
      pondId,
      actor.userId,
      { ...input, bed },
      {
        areaM2: result.areaM2,
        flowM3PerH: result.flowM3PerH,
      },
    )
    await deleteDesignDraft(trx, pondId, actor.userId)
    return { id, number }
  })
}

type MoveOn = { readonly stopReason?: string } & (
  | { readonly state: 'approved' }
  | { readonly state: 'found' }
  /** A version that was recorded as found by mistake. */
  | { readonly state: 'open' }
  | { readonly state: 'built'; readonly asBuilt: string; readonly builtBed: FilterDesign | null }
)

/** The state that each is reached from, and what is said of a version that is in another. */
const COMES_FROM = {
  approved: ['open', said('design.problems.onlyOpenVersionCanApproved')],
  found: ['open', said('design.problems.onlyOpenVersionCanFound')],
  open: ['found', said('design.problems.onlyFoundVersionTakenBack')],
  built: ['approved', said('design.problems.approveVersionFirstThenCan')],
} as const

/**
 * open → approved → built. A version is never changed after it was saved, so approving freezes nothing else; it says
 * which one counts,
 * and one does at a time. One that a check stops goes on only with a reason. A filter that was found at the pond is
 * recorded as it is, whatever checks say of it.
 */
export async function moveDesignOn(actor: Actor, id: DesignId, version: number, to: MoveOn): Promise<void> {
  assertMay(actor, 'designs.write')
  const { stations } = await weather()
  await inFirm(actor.firmId, async (trx) => {
    const design = await findDesign(trx, id)
    if (!design) throw notFound('design')
    const [from, why] = COMES_FROM[to.state]
    if (design.version === version && design.state !== from) throw refused(why)
    // what stands at a pond stands, whatever checks say of it
    if (to.state === 'found' || to.state === 'open')
      return moveDesign(trx, { ...design, version }, to.state, actor.userId)
    const pond = (await findPond(trx, design.pondId))!
    const stops = openStops(
      await designContext(trx, actor, pond, stations),
      to.state === 'built' ? (to.builtBed ?? design.bed) : design.bed,
    )
    // a reason that was given for the drawing holds for what is built by it
    const reason =
      (to.stopReason ?? '') || (stops.every((stop) => design.stops.includes(stop)) ? design.stopReason : '')
    if (stops.length > 0 && reason.length < STOP_REASON_LENGTH) throw needsReason(stops)
    if (to.state === 'approved') await reopenOthers(trx, design.pondId, id)
    await moveDesign(trx, { ...design, version }, to.state, actor.userId, to.state === 'built' ? to : undefined, {
      reason,
      stops,
    })
    if (to.state !== 'built') return
    const built = to.builtBed ?? design.bed
    const pumpNames = pumpNamesOf(built, await pumpsOf(trx))
    await registerFitted(trx, actor.firmId, pond.id, built, pumpNames, todayIn(actor.timeZone))
  })
}

/** Fewer letters are no reason. */
export const STOP_REASON_LENGTH = 5

/** Checks that say stop of a design. */
export function openStops(context: Awaited<ReturnType<typeof designContext>>, bed: FilterDesign): CheckId[] {
  const problem = { ...context, pond: context.designPond, design: bed }
  return checkDesign({ ...problem, result: evaluateDesign(problem) }).flatMap((c) =>
    c.verdict === 'stop' ? [c.id] : [],
  )
}

/** A stop is passed with a reason, and never silently. */
export function needsReason(stops: readonly CheckId[]): ProblemError {
  const message = said('design.problems.stopNeedsReason', { count: stops.length })
  return new ProblemError({ kind: 'bad-input', message, fields: [{ path: 'stopReason', message }] })
}

/** Keeps what someone has on a pond's filter design, so that it is there on the next machine too. */
export async function storeDraft(actor: Actor, pondId: PondId, draft: DesignDraft): Promise<void> {
  assertMay(actor, 'designs.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    await storeDesignDraft(trx, actor.firmId, pondId, actor.userId, draft)
  })
}

export async function discardDraft(actor: Actor, pondId: PondId): Promise<void> {
  assertMay(actor, 'designs.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    await deleteDesignDraft(trx, pondId, actor.userId)
  })
}
