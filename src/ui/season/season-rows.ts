import { type TextId, type Texts, textId } from '@/ui/kit/texts'
import { addDays } from '@/core/numeric/calendar'
import type { WindowJob } from '@/core/season/house-rules'
import type { SeasonRow } from '@/server/season/season-view'

export const SORTS = ['site', 'window', 'town', 'warmth'] as const
export type Sort = (typeof SORTS)[number]
export const SORT_NAMES: Readonly<Record<Sort, TextId>> = {
  site: textId('season.seasonRows.site'),
  window: textId('season.seasonRows.windowEarliestFirst'),
  town: textId('season.seasonRows.town'),
  warmth: textId('season.seasonRows.warmestFirst'),
}

export const SHOWS = ['all', 'open', 'planned', 'done', 'missed'] as const
export type Show = (typeof SHOWS)[number]
export const SHOW_NAMES: Readonly<Record<Show, TextId>> = {
  all: textId('season.seasonRows.allPonds'),
  open: textId('season.seasonRows.agreedNotPlanned'),
  planned: textId('season.seasonRows.planned'),
  done: textId('season.seasonRows.done'),
  missed: textId('season.seasonRows.missed'),
}

/** A visit this close to a window belongs to it. */
const NEAR_DAYS = 60

/** How one job stands at a pond this year. */
export function standingOf({ window, visits, agreed }: SeasonRow, job: WindowJob, today: string): Show {
  const belongs = (day: string) =>
    !window || (day >= addDays(window.earliest, -NEAR_DAYS) && day <= addDays(window.latest, NEAR_DAYS))
  const near = visits.filter(({ jobKey, day }) => jobKey === job && belongs(day))
  if (near.some(({ state }) => state === 'done')) return 'done'
  if (near.length > 0) return 'planned'
  if (!agreed) return 'all'
  return window && window.latest < today ? 'missed' : 'open'
}

const warmth = (row: SeasonRow): number => (row.weeklyC ? Math.max(...row.weeklyC) : -99)

export function sortRows(rows: readonly SeasonRow[], sort: Sort): SeasonRow[] {
  const bySite = (a: SeasonRow, b: SeasonRow) => a.siteName.localeCompare(b.siteName) || a.name.localeCompare(b.name)
  const compare: Record<Sort, (a: SeasonRow, b: SeasonRow) => number> = {
    site: bySite,
    town: (a, b) => a.town.localeCompare(b.town) || bySite(a, b),
    window: (a, b) => (a.window?.earliest ?? '9').localeCompare(b.window?.earliest ?? '9') || bySite(a, b),
    warmth: (a, b) => warmth(b) - warmth(a) || bySite(a, b),
  }
  return [...rows].sort(compare[sort])
}

export const holds = (row: SeasonRow, text: string): boolean =>
  text === '' ||
  [row.siteName, row.name, row.town, row.customerName].some((field) => field.toLowerCase().includes(text.toLowerCase()))

/** A line of the list: a pond, or the heading of a group. */
export type SeasonLine =
  | { readonly kind: 'row'; readonly row: SeasonRow }
  | { readonly kind: 'group'; readonly name: string; readonly count: number }

export function linesOf(rows: readonly SeasonRow[], grouped: boolean, t: Texts): SeasonLine[] {
  if (!grouped) return rows.map((row) => ({ kind: 'row', row }))
  const groups = new Map<string, SeasonRow[]>()
  for (const row of rows) groups.set(row.town, [...(groups.get(row.town) ?? []), row])
  return [...groups]
    .sort(([a], [b]) => a.localeCompare(b))
    .flatMap(([name, members]) => [
      { kind: 'group' as const, name: name || t('season.seasonRows.noTown'), count: members.length },
      ...members.map((row) => ({ kind: 'row' as const, row })),
    ])
}
