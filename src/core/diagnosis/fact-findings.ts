import type { FindingKey, Findings } from './findings'

/** Figures of a pond's file that settle a finding by themselves; what is not known is left out. */
export interface PondFacts {
  /** Age of the filter, days. */
  readonly filterAgeD?: number
  /** Days since all media were cleaned or the pond was drained. */
  readonly cleanedAgoD?: number
  /** Area of the bed as a share of what the house method asks for. */
  readonly bedOfNeeded?: number
  /** Share of the bed that plants cover. */
  readonly plantCover?: number
}

/** @source house defaults, those that the findings' own questions name */
const FACT_FINDINGS: Readonly<
  Record<keyof PondFacts, { readonly finding: FindingKey; readonly holds: (value: number) => boolean }>
> = {
  filterAgeD: { finding: 'filter-new', holds: (days) => days <= 70 },
  cleanedAgoD: { finding: 'cleaned-lately', holds: (days) => days <= 42 },
  bedOfNeeded: { finding: 'filter-small', holds: (share) => share < 0.75 },
  plantCover: { finding: 'plants-few', holds: (share) => share < 0.3 },
}

/** What a pond's figures settle. */
export const findingsByFacts = (facts: PondFacts): Findings =>
  Object.fromEntries(
    Object.entries(facts).flatMap(([fact, value]) => {
      if (value === undefined) return []
      const { finding, holds } = FACT_FINDINGS[fact as keyof PondFacts]
      return [[finding, holds(value)]]
    }),
  )
