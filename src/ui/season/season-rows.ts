import { type TextId, type Texts, textId } from '@/ui/kit/texts'
import { addDays } from '@/core/numeric/calendar'
import type { WindowJob } from '@/core/season/house-rules'
import type { PondWindowsData } from '@/server/season/pond-windows'
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

/** One type of visits of a pond in the year: its window, where it has one, and its visits. */
export interface Lane {
  readonly job: string
  readonly name: string
  readonly window: PondWindowsData['windows'][number] | null
  readonly visits: SeasonRow['visits']
}

/** A pond's year by types of visits: those with a window in the year's order, then those that are only planned. */
export function lanesOf(row: SeasonRow, windows: PondWindowsData['windows'], t: Texts): Lane[] {
  const ofJob = (job: string) => row.visits.filter((v) => v.jobKey === job)
  const withWindow = [...windows]
    .sort((a, b) => a.earliest.localeCompare(b.earliest))
    .map((window): Lane => ({
      job: window.job,
      name: t(`season.jobNames.${window.job}`),
      window,
      visits: ofJob(window.job),
    }))
  const known = new Set<string>(windows.map((w) => w.job))
  const others = [...new Map(row.visits.filter((v) => !known.has(v.jobKey)).map((v) => [v.jobKey, v.jobName]))]
  return [...withWindow, ...others.map(([job, name]): Lane => ({ job, name, window: null, visits: ofJob(job) }))]
}

/** A line of the list: a pond, one of its types of visits, or the heading of a group. */
export type SeasonLine =
  | { readonly kind: 'lane'; readonly row: SeasonRow; readonly lane: Lane }
  | { readonly kind: 'row'; readonly row: SeasonRow }
  | { readonly kind: 'group'; readonly name: string; readonly count: number }

interface LinesWish {
  readonly grouped: boolean
  /** Windows of ponds that are unfolded, by pond. */
  readonly unfolded: ReadonlyMap<string, PondWindowsData['windows']>
}

export function linesOf(rows: readonly SeasonRow[], { grouped, unfolded }: LinesWish, t: Texts): SeasonLine[] {
  const withLanes = (row: SeasonRow): SeasonLine[] => [
    { kind: 'row', row },
    ...lanesOf(row, unfolded.get(row.id) ?? [], t)
      .filter(() => unfolded.has(row.id))
      .map((lane) => ({ kind: 'lane' as const, row, lane })),
  ]
  if (!grouped) return rows.flatMap(withLanes)
  const groups = new Map<string, SeasonRow[]>()
  for (const row of rows) groups.set(row.town, [...(groups.get(row.town) ?? []), row])
  return [...groups]
    .sort(([a], [b]) => a.localeCompare(b))
    .flatMap(([name, members]) => [
      { kind: 'group' as const, name: name || t('season.seasonRows.noTown'), count: members.length },
      ...members.flatMap(withLanes),
    ])
}
