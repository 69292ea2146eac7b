import { z } from 'zod'
import { storableText } from '../shared/clean-text'
import type { ProposalState } from '../proposals/proposal'
import { said } from '../shared/said'

const LONGEST = 100

/** What is looked for: words that must all be there, in any order. */
export const SearchQuery = z.object({
  q: z
    .string()
    .transform(storableText)
    .pipe(
      z
        .string()
        .trim()
        .min(1, { error: said('search.problems.typeSomething') })
        .max(LONGEST, { error: said('search.problems.tooLong', { most: LONGEST }) }),
    ),
})

interface AtPond {
  readonly id: string
  readonly pondId: string
  readonly pondName: string
  readonly siteName: string
  readonly town: string
}

/** Something that was found, with what tells it from others of its kind. */
export type SearchHit =
  | ({ readonly kind: 'pond'; readonly customerName: string } & AtPond)
  | ({ readonly kind: 'visit'; readonly jobName: string; readonly day: string; readonly done: boolean } & AtPond)
  | ({ readonly kind: 'equipment'; readonly name: string } & AtPond)
  | ({ readonly kind: 'plant'; readonly speciesKey: string } & AtPond)
  | ({ readonly kind: 'proposal'; readonly number: number; readonly state: ProposalState } & AtPond)
  | { readonly kind: 'customer'; readonly id: string; readonly name: string; readonly sites: readonly string[] }
  | { readonly kind: 'stock'; readonly id: string; readonly name: string; readonly place: string }

/** The words of a query in small letters, each once. */
export const wordsOf = (q: string): string[] => [...new Set(q.toLowerCase().split(/\s+/).filter(Boolean))]
