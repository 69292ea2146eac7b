import type { CustomerInput, NewPondInput, SiteInput } from '@/domain/customer'
import type { CustomerId, SiteId } from '@/domain/ids'
import { PondInput } from '@/domain/pond'

type Num = number | null

/** What the survey form holds while it is filled in: numbers may still be missing (null) or unreadable (NaN). */
export interface SurveyFormValues {
  readonly name: string
  readonly use: PondInput['use']
  readonly outlineKind: 'rectangle' | 'ellipse' | 'offsets'
  readonly lengthM: Num
  readonly widthM: Num
  readonly offsets: readonly { stationM: Num; leftM: Num; rightM: Num }[]
  readonly zones: readonly { name: string; floorDepthM: Num; surfaceShare: Num; sideSlope: Num }[]
  readonly rockShare: Num
  readonly meteredFillM3: Num
  readonly fish: readonly { species: PondInput['fish'][number]['species']; count: Num; lengthM: Num }[]
  readonly waterSource: PondInput['waterSource']
  readonly altitudeM: Num
  readonly trees: PondInput['trees']
  readonly freeboardM: Num
  readonly notes: string
}

export const EMPTY_SURVEY: SurveyFormValues = {
  name: '',
  use: 'many-fish',
  outlineKind: 'rectangle',
  lengthM: null,
  widthM: null,
  offsets: [
    { stationM: 0, leftM: 0, rightM: 0 },
    { stationM: null, leftM: null, rightM: null },
    { stationM: null, leftM: null, rightM: null },
    { stationM: null, leftM: 0, rightM: 0 },
  ],
  zones: [{ name: 'Shelf', floorDepthM: null, surfaceShare: 1, sideSlope: 0.25 }],
  rockShare: 0.1,
  meteredFillM3: null,
  fish: [],
  waterSource: 'mains',
  altitudeM: null,
  trees: 'some',
  freeboardM: 0.08,
  notes: '',
}

export function toFormValues(pond: PondInput): SurveyFormValues {
  const { outline, ...rest } = pond
  return {
    ...EMPTY_SURVEY,
    ...rest,
    outlineKind: outline.kind,
    lengthM: outline.kind === 'offsets' ? null : outline.lengthM,
    widthM: outline.kind === 'offsets' ? null : outline.widthM,
    offsets: outline.kind === 'offsets' ? outline.offsets : EMPTY_SURVEY.offsets,
  }
}

/** The form as the API takes it; wholly empty offset lines are dropped, and missing numbers stay out so that the schema names them. */
export function toPondInput(values: SurveyFormValues): unknown {
  const { outlineKind, lengthM, widthM, offsets, ...rest } = values
  const given = offsets.filter((o) => o.stationM !== null || o.leftM !== null || o.rightM !== null)
  const outline = outlineKind === 'offsets' ? { kind: outlineKind, offsets: given } : { kind: outlineKind, lengthM, widthM }
  return withoutMissing({ ...rest, outline })
}

/** Nulls mean "not given", except the metered fill, which may be left out for good. */
function withoutMissing(value: unknown, key = ''): unknown {
  if (value === null) return key === 'meteredFillM3' ? null : undefined
  if (Array.isArray(value)) return value.map((item) => withoutMissing(item))
  if (typeof value === 'object') return Object.fromEntries(Object.entries(value as object).map(([k, v]) => [k, withoutMissing(v, k)]))
  return value
}

/** Paths of the schema back to the paths of the form's fields. */
export const formPath = (path: string): string =>
  path
    .replace(/^pond\./, '')
    .replace(/^outline\.(lengthM|widthM|offsets)/, '$1')
    .replace(/^outline$/, 'outlineKind')

export const readSurvey = (values: SurveyFormValues) => PondInput.safeParse(toPondInput(values))

export interface PlaceValues {
  readonly customerId: CustomerId | 'new'
  readonly siteId: SiteId | 'new'
  readonly customer: CustomerInput
  readonly site: SiteInput
}

export const newPondBody = (place: PlaceValues, pond: PondInput): NewPondInput => ({
  customer: place.customerId === 'new' ? { kind: 'new', customer: place.customer } : { kind: 'existing', id: place.customerId },
  site: place.siteId === 'new' ? { kind: 'new', site: place.site } : { kind: 'existing', id: place.siteId },
  pond,
})
