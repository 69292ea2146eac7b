import { CustomerInput, SiteInput, type Customer, type Site } from '../customers/customer'
import { csvOf, readCsv, zodRowProblems, type CsvRow, type CsvRowProblem } from '../shared/csv'
import { said, type Said } from '../shared/said'

const SITE_CSV_COLUMNS = [
  'customer',
  'email',
  'phone',
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

/**
 * One site of a file, with its customer's name; the row or feature it stands in is named when something is wrong with
 * it.
 */
export interface SiteRow {
  readonly line: number
  readonly customer: string
  /** Of the customer; '' where the file has none. */
  readonly email: string
  readonly phone: string
  readonly site: SiteInput
  /** What of it the file speaks of: everything else of a known site stays as it is. */
  readonly given: readonly (keyof SiteInput)[]
}

/** Fields of a site by the columns of a file. */
const FIELDS = {
  address: 'address',
  town: 'town',
  access_notes: 'accessNotes',
  station: 'stationId',
  lat: 'lat',
  lon: 'lon',
  opens: 'opens',
  closes: 'closes',
  closed_days: 'closedDays',
  school_holidays: 'schoolHolidays',
} as const

export interface SiteFile {
  readonly rows: readonly SiteRow[]
  readonly problems: readonly CsvRowProblem[]
}

type SiteOfCustomer = Site & { readonly customerName: string; readonly email: string; readonly phone: string }

export const withCustomer = (sites: readonly Site[], customers: readonly Customer[]): SiteOfCustomer[] => {
  const byId = new Map(customers.map((c) => [c.id, c]))
  return sites.map((site) => {
    const { name = '', email = '', phone = '' } = byId.get(site.customerId) ?? {}
    return { ...site, customerName: name, email, phone }
  })
}

const cellsOf = (s: SiteOfCustomer) => ({
  customer: s.customerName,
  email: s.email,
  phone: s.phone,
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
    return lat === '' || lon === ''
      ? []
      : [
          {
            type: 'Feature' as const,
            id: s.id,
            geometry: { type: 'Point' as const, coordinates: [lon, lat] },
            properties,
          },
        ]
  }),
})

export function readSitesCsv(text: string, station: string): SiteFile {
  const { rows, problems } = readCsv(text, SITE_CSV_COLUMNS, ['customer', 'site'])
  const read = collect(rows, station)
  return { rows: read.rows, problems: [...problems, ...read.problems] }
}

/** Points of a GeoJSON feature collection; properties carry the columns of the CSV. */
export function readSitesGeoJson(text: string, station: string): SiteFile {
  const refuse = (message: Said): SiteFile => ({ rows: [], problems: [{ line: 1, message }] })
  let file: unknown
  try {
    file = JSON.parse(text)
  } catch {
    return refuse(said('exchange.problems.notJson'))
  }
  const features =
    (file as { type?: string; features?: unknown })?.type === 'FeatureCollection'
      ? (file as { features?: unknown }).features
      : null
  if (!Array.isArray(features)) return refuse(said('exchange.problems.notGeoJson'))
  return collect(
    features.map(
      (feature: { geometry?: { type?: string; coordinates?: unknown }; properties?: Record<string, unknown> }, i) => {
        const point =
          feature?.geometry?.type === 'Point' && Array.isArray(feature.geometry.coordinates)
            ? feature.geometry.coordinates
            : []
        const texts = Object.fromEntries(
          Object.entries(feature?.properties ?? {}).map(([key, value]) => [key, value === null ? '' : String(value)]),
        )
        const cells: Record<string, string> = { ...texts, lon: String(point[0] ?? ''), lat: String(point[1] ?? '') }
        return {
          line: i + 1,
          cell: (column: string) => (cells[column] ?? '').trim(),
          has: (column: string) => Object.hasOwn(cells, column),
        }
      },
    ),
    station,
  )
}

function collect(entries: readonly CsvRow[], station: string): SiteFile {
  const rows: SiteRow[] = []
  const problems: CsvRowProblem[] = []
  const seen = new Map<string, number>()
  for (const { line, cell, has } of entries) {
    const given = Object.entries(FIELDS).flatMap(([column, field]) => (has(column) ? [field] : []))
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
    const contact = CustomerInput.safeParse({ name: customer, email: cell('email'), phone: cell('phone') })
    if (customer === '') problems.push({ line, message: said('exchange.problems.customerMissing') })
    else if (!contact.success) problems.push(...zodRowProblems(line, contact.error))
    else if (!read.success) problems.push(...zodRowProblems(line, read.error))
    else {
      const key = `${contact.data.name}\u0000${read.data.name}`
      const before = seen.get(key)
      if (before !== undefined)
        problems.push({
          line,
          message: said('exchange.problems.siteTwice', { site: read.data.name, customer, before }),
        })
      else
        rows.push({
          line,
          customer: contact.data.name,
          email: contact.data.email,
          phone: contact.data.phone,
          site: read.data,
          given,
        })
      seen.set(key, before ?? line)
    }
  }
  return { rows, problems }
}
