import { SiteInput, type Customer, type Site } from './customer'
import { csvOf, readCsv, type CsvRow, type CsvRowProblem } from './csv'

export const SITE_CSV_COLUMNS = [
  'customer',
  'site',
  'address',
  'town',
  'access_notes',
  'station',
  'lat',
  'lon',
  'opens',
  'closes',
  'closed_days',
  'school_holidays',
] as const

/** One site of a file, with its customer's name; the row or feature it stands in is named when something is wrong with it. */
export interface SiteRow {
  readonly line: number
  readonly customer: string
  readonly site: SiteInput
}

export interface SiteFile {
  readonly rows: readonly SiteRow[]
  readonly problems: readonly CsvRowProblem[]
}

type SiteOfCustomer = Site & { readonly customerName: string }

export const withCustomer = (sites: readonly Site[], customers: readonly Customer[]): SiteOfCustomer[] => {
  const names = new Map(customers.map((c) => [c.id, c.name]))
  return sites.map((site) => ({ ...site, customerName: names.get(site.customerId) ?? '' }))
}

const cellsOf = (s: SiteOfCustomer) => ({
  customer: s.customerName,
  site: s.name,
  address: s.address,
  town: s.town,
  access_notes: s.accessNotes,
  station: s.stationId,
  lat: s.lat ?? '',
  lon: s.lon ?? '',
  opens: s.opens,
  closes: s.closes,
  closed_days: s.closedDays.join(' '),
  school_holidays: s.schoolHolidays,
})

export const sitesCsv = (sites: readonly SiteOfCustomer[]): string => csvOf(sites.map(cellsOf), SITE_CSV_COLUMNS)

/** Sites with a place as points; the others are not in it. */
export const sitesGeoJson = (sites: readonly SiteOfCustomer[]) => ({
  type: 'FeatureCollection' as const,
  features: sites.flatMap((s) => {
    const { lat, lon, ...properties } = cellsOf(s)
    return lat === '' || lon === '' ? [] : [{ type: 'Feature' as const, id: s.id, geometry: { type: 'Point' as const, coordinates: [lon, lat] }, properties }]
  }),
})

export function readSitesCsv(text: string, station: string): SiteFile {
  const { rows, problems } = readCsv(text, SITE_CSV_COLUMNS, ['customer', 'site'])
  const read = collect(rows, station)
  return { rows: read.rows, problems: [...problems, ...read.problems] }
}

/** Points of a GeoJSON feature collection; properties carry the columns of the CSV. */
export function readSitesGeoJson(text: string, station: string): SiteFile {
  const refuse = (message: string): SiteFile => ({ rows: [], problems: [{ line: 1, message }] })
  let file: unknown
  try {
    file = JSON.parse(text)
  } catch {
    return refuse('This is not JSON.')
  }
  const features = (file as { type?: string; features?: unknown })?.type === 'FeatureCollection' ? (file as { features?: unknown }).features : null
  if (!Array.isArray(features)) return refuse('This is not a GeoJSON feature collection.')
  return collect(
    features.map((feature: { geometry?: { type?: string; coordinates?: unknown }; properties?: Record<string, unknown> }, i) => {
      const point = feature?.geometry?.type === 'Point' && Array.isArray(feature.geometry.coordinates) ? feature.geometry.coordinates : []
      const texts = Object.fromEntries(Object.entries(feature?.properties ?? {}).map(([key, value]) => [key, value === null ? '' : String(value)]))
      const cells: Record<string, string> = { ...texts, lon: String(point[0] ?? ''), lat: String(point[1] ?? '') }
      return { line: i + 1, cell: (column: string) => (cells[column] ?? '').trim() }
    }),
    station,
  )
}

function collect(entries: readonly CsvRow[], station: string): SiteFile {
  const rows: SiteRow[] = []
  const problems: CsvRowProblem[] = []
  for (const { line, cell } of entries) {
    const number = (name: string) => (cell(name) === '' ? null : Number(cell(name).replace(',', '.')))
    const customer = cell('customer')
    const read = SiteInput.safeParse({
      name: cell('site'),
      address: cell('address'),
      town: cell('town'),
      accessNotes: cell('access_notes'),
      stationId: cell('station') || station,
      lat: number('lat'),
      lon: number('lon'),
      opens: cell('opens'),
      closes: cell('closes'),
      closedDays: cell('closed_days').split(/\s+/).filter(Boolean),
      blackouts: [],
      schoolHolidays: cell('school_holidays') || 'any',
    })
    if (customer === '') problems.push({ line, message: 'customer: missing.' })
    else if (!read.success) problems.push({ line, message: read.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join(' ') })
    else rows.push({ line, customer, site: read.data })
  }
  return { rows, problems }
}
