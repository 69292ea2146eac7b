import { z } from 'zod'
import type { FrozenComparison } from '../../core/ecosystem/comparison/frozen-comparison'
import type { Basin } from '../../core/survey/basin'
import type { FilterDesign, DesignPond } from '../../core/filter/design-input'
import type { FilterRules, SizingMethod } from '../../core/filter/house-rules'
import type { CataloguePump } from '../../core/filter/flow/pump-catalogue'
import { calendarDay, optionalText, shortText } from '../shared/fields'
import { DesignId, WhatIfId, type PondId, type ProposalId } from '../shared/ids'
import { said } from '../shared/said'

/**
 * sent → accepted | declined by the customer, or withdrawn by the firm. Past its day a sent proposal can no longer be
 * accepted.
 */
export type ProposalState = 'sent' | 'accepted' | 'declined' | 'withdrawn'

export const OPTION_LABELS = ['Good', 'Better', 'Best'] as const

export const ProposalInput = z.strictObject({
  title: shortText('proposals.fields.title', 100),
  intro: optionalText('proposals.fields.wordsToTheCustomer', 1500),
  validUntil: calendarDay,
  options: z
    .array(z.strictObject({ designId: DesignId, why: optionalText('proposals.fields.whyThisOne', 500) }))
    .min(1, { error: said('proposals.problems.chooseLeastOneVersionOffer') })
    .max(OPTION_LABELS.length, { error: said('proposals.problems.mostThreeOptionsGoodBetter') }),
  /** A kept what-if whose outcome goes with it. */
  whatIfId: WhatIfId.nullable().default(null),
  /** Why a version that a check stops is offered all the same; for the firm, not for the customer. */
  stopReason: optionalText('proposals.fields.whyItIsRightAllTheSame', 500),
})
export type ProposalInput = z.infer<typeof ProposalInput>

export const AnswerInput = z.discriminatedUnion('answer', [
  z.strictObject({
    answer: z.literal('accepted'),
    name: shortText('proposals.fields.yourName', 100),
    option: z.int().min(0).max(2),
    note: optionalText('proposals.fields.note', 1000),
  }),
  z.strictObject({
    answer: z.literal('declined'),
    name: shortText('proposals.fields.yourName', 100),
    note: optionalText('proposals.fields.note', 1000),
  }),
])
export type AnswerInput = z.infer<typeof AnswerInput>

export interface ProposedOption {
  readonly label: string
  readonly why: string
  readonly designNumber: number
  readonly design: FilterDesign
  /** null where nothing is pumped. */
  readonly pump: CataloguePump | null
  /** Other pumps of its network. */
  readonly morePumps?: readonly CataloguePump[]
  readonly totalMinor: number
  readonly taxMinor: number
}

/** The filter that was found at the pond, as it stood on the day of the proposal. */
export type FoundFilter = Pick<ProposedOption, 'designNumber' | 'design' | 'pump' | 'morePumps'>

/** What a what-if says of the water, worked out on the day of the proposal. */
export interface ProposedOutlook extends FrozenComparison {
  readonly question: string
  /** In the order of the options. */
  readonly names: readonly string[]
  readonly basin: Basin
}

/** Everything a customer reads, frozen on the day it was made. */
export interface ProposalContent {
  readonly title: string
  readonly intro: string
  readonly firmName: string
  readonly customerName: string
  readonly siteName: string
  readonly pondName: string
  readonly units: 'metric' | 'us'
  readonly currency: string
  readonly pond: DesignPond
  readonly rules: FilterRules
  readonly houseMethod: SizingMethod
  readonly options: readonly ProposedOption[]
  /** The filter that was there and that somebody else built; missing or null where none was recorded. */
  readonly found?: FoundFilter | null
  /** Missing where no what-if goes with it. */
  readonly outlook?: ProposedOutlook
}

export interface Proposal {
  readonly id: ProposalId
  readonly pondId: PondId
  readonly number: number
  readonly state: ProposalState
  readonly content: ProposalContent
  readonly validUntil: string
  readonly madeAt: string
  readonly answerName: string | null
  readonly answerOption: number | null
  readonly answerNote: string | null
  readonly answeredAt: string | null
}
