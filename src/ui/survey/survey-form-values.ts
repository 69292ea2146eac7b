import type { CustomerInput, NewPondInput, SiteInput } from '@/domain/customers/customer'
import type { CustomerId, SiteId } from '@/domain/shared/ids'
import { PondInput, type SetAsideMethod, type VolumeTest } from '@/domain/ponds/pond'

type Num = number | null

/** A way to the volume as it is typed; a rise of salinity as a share: 0.1 % is 0.001. */
export type VolumeTestValues =
  | { readonly method: 'timed-fill'; readonly containerM3: Num; readonly seconds: Num; readonly minutes: Num }
  | { readonly method: 'salt-dilution'; readonly saltKg: Num; readonly rise: Num }
  | { readonly method: 'drain-down'; readonly flowM3PerH: Num; readonly minutes: Num }

export const EMPTY_VOLUME_TESTS: Readonly<Record<VolumeTest['method'], VolumeTestValues>> = {
  'timed-fill': { method: 'timed-fill', containerM3: null, seconds: null, minutes: null },
  'salt-dilution': { method: 'salt-dilution', saltKg: null, rise: null },
  'drain-down': { method: 'drain-down', flowM3PerH: null, minutes: null },
}

/** What the survey form holds while it is filled in: numbers may still be missing (null) or unreadable (NaN). */
export interface SurveyFormValues {
  readonly name: string
  readonly use: PondInput['use']
  readonly outlineKind: PondInput['outline']['kind']
  readonly lengthM: Num
  readonly widthM: Num
  readonly waistM: Num
  readonly points: readonly { xM: Num; yM: Num }[]
  readonly offsets: readonly { stationM: Num; leftM: Num; rightM: Num }[]
  readonly zones: readonly { name: string; floorDepthM: Num; surfaceShare: Num; insetM: Num; sideSlope: Num }[]
  readonly rockShare: Num
  readonly meteredFillM3: Num
  readonly volumeTests: readonly VolumeTestValues[]
  /** '' where all ways to the volume count. */
  readonly setAside: { method: SetAsideMethod | ''; reason: string }
  readonly streams: readonly { lengthM: Num; widthM: Num; depthM: Num; fill: Num }[]
  readonly boxes: readonly { volumeM3: Num }[]
  /** Feed as masses are typed: kg. */
  readonly guests: { publicFeedKg: Num; bathersPerD: Num; ducks: Num; turtles: Num }
  /** Indoors: what the room is held at; null outdoors. */
  readonly roomTempC: Num
  readonly fish: readonly { species: PondInput['fish'][number]['species']; count: Num; lengthM: Num }[]
  readonly waterSource: PondInput['waterSource']
  readonly lining: PondInput['lining']
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
  waistM: null,
  points: [
    { xM: 0, yM: 0 },
    { xM: null, yM: null },
    { xM: null, yM: null },
  ],
  offsets: [
    { stationM: 0, leftM: 0, rightM: 0 },
    { stationM: null, leftM: null, rightM: null },
    { stationM: null, leftM: null, rightM: null },
    { stationM: null, leftM: 0, rightM: 0 },
  ],
  zones: [{ name: '', floorDepthM: null, surfaceShare: 1, insetM: null, sideSlope: 0.25 }],
  rockShare: 0.1,
  meteredFillM3: null,
  volumeTests: [],
  setAside: { method: '', reason: '' },
  streams: [],
  boxes: [],
  guests: { publicFeedKg: null, bathersPerD: null, ducks: null, turtles: null },
  roomTempC: null,
  fish: [],
  waterSource: 'mains',
  lining: 'unknown',
  altitudeM: null,
  trees: 'some',
  freeboardM: 0.08,
  notes: '',
}

/** A survey to begin with, its one zone named in the reader's language. */
export const firstSurvey = (zoneName: string): SurveyFormValues => ({
  ...EMPTY_SURVEY,
  zones: EMPTY_SURVEY.zones.map((zone) => ({ ...zone, name: zoneName })),
})

export function toFormValues(pond: PondInput): SurveyFormValues {
  const { outline, volumeTests, beside, guests, setAside, ...rest } = pond
  const sized = outline.kind === 'offsets' || outline.kind === 'points' ? null : outline
  return {
    ...EMPTY_SURVEY,
    ...rest,
    zones: rest.zones.map((zone) => ({ ...zone, insetM: zone.insetM ?? null })),
    setAside: setAside ?? EMPTY_SURVEY.setAside,
    guests: {
      publicFeedKg: orNone(guests.publicFeedGPerD / 1000),
      bathersPerD: orNone(guests.bathersPerD),
      ducks: orNone(guests.ducks),
      turtles: orNone(guests.turtles),
    },
    outlineKind: outline.kind,
    lengthM: sized?.lengthM ?? null,
    widthM: sized?.widthM ?? null,
    waistM: outline.kind === 'kidney' ? outline.waistM : null,
    offsets: outline.kind === 'offsets' ? outline.offsets : EMPTY_SURVEY.offsets,
    points: outline.kind === 'points' ? outline.points : EMPTY_SURVEY.points,
    volumeTests: volumeTests.map(toTestValues),
    streams: beside.flatMap(({ kind, ...stream }) =>
      kind === 'stream' ? [stream as SurveyFormValues['streams'][number]] : [],
    ),
    boxes: beside.flatMap((b) => (b.kind === 'box' ? [{ volumeM3: b.volumeM3 }] : [])),
  }
}

const toTestValues = (test: VolumeTest): VolumeTestValues =>
  test.method === 'salt-dilution' ? { method: test.method, saltKg: test.saltKg, rise: test.risePercent / 100 } : test

const toTest = (values: VolumeTestValues): unknown =>
  values.method === 'salt-dilution'
    ? {
        method: values.method,
        saltKg: values.saltKg,
        risePercent: values.rise === null ? null : Number((values.rise * 100).toPrecision(12)),
      }
    : values

/**
 * The form as the API takes it; wholly empty lines and tests are dropped, and missing numbers stay out so that the
 * schema names them.
 */
export function toPondInput(values: SurveyFormValues): unknown {
  const {
    outlineKind,
    lengthM,
    widthM,
    waistM,
    offsets,
    points,
    volumeTests,
    streams,
    boxes,
    guests,
    setAside,
    ...rest
  } = values
  const beside = [...streams.map((s) => ({ kind: 'stream', ...s })), ...boxes.map((b) => ({ kind: 'box', ...b }))]
  return withoutMissing({
    ...rest,
    guests: {
      publicFeedGPerD: guests.publicFeedKg === null ? 0 : Number((guests.publicFeedKg * 1000).toFixed(6)),
      bathersPerD: guests.bathersPerD ?? 0,
      ducks: guests.ducks ?? 0,
      turtles: guests.turtles ?? 0,
    },
    volumeTests: testsGiven(volumeTests).map((i) => toTest(volumeTests[i]!)),
    setAside: setAside.method === '' ? null : setAside,
    beside,
    outline: outlineInput(),
  })

  function outlineInput() {
    switch (outlineKind) {
      case 'offsets':
        return {
          kind: outlineKind,
          offsets: offsets.filter((o) => o.stationM !== null || o.leftM !== null || o.rightM !== null),
        }
      case 'points':
        return { kind: outlineKind, points: points.filter((p) => p.xM !== null || p.yM !== null) }
      case 'kidney':
        return { kind: outlineKind, lengthM, widthM, waistM }
      default:
        return { kind: outlineKind, lengthM, widthM }
    }
  }
}

/** Places of the tests that are sent: one counts as soon as one of its figures is there. */
const testsGiven = (tests: SurveyFormValues['volumeTests']): number[] =>
  tests.flatMap(({ method: _method, ...figures }, i) => (Object.values(figures).some((v) => v !== null) ? [i] : []))

/** None of something is an empty field. */
const orNone = (value: number): Num => (value === 0 ? null : value)

/** What may be left out for good. */
const LEFT_OUT = ['meteredFillM3', 'roomTempC', 'setAside']

/** Nulls mean "not given", except where there may be none. */
function withoutMissing(value: unknown, key = ''): unknown {
  if (value === null) return LEFT_OUT.includes(key) ? null : undefined
  if (Array.isArray(value)) return value.map((item) => withoutMissing(item))
  if (typeof value === 'object')
    return Object.fromEntries(Object.entries(value as object).map(([k, v]) => [k, withoutMissing(v, k)]))
  return value
}

/** Paths of the schema back to the paths of the form's fields, by what the form sent. */
export const formPath = (path: string, values: SurveyFormValues): string =>
  path
    .replace(/^pond\./, '')
    .replace(/^outline\.(lengthM|widthM|waistM|offsets|points)/, '$1')
    .replace(/^outline$/, 'outlineKind')
    .replace(/^volumeTests\.(\d+)\b/, (_, i: string) => `volumeTests.${testsGiven(values.volumeTests)[Number(i)] ?? i}`)
    .replace(/^(volumeTests\.\d+)\.risePercent$/, '$1.rise')
    .replace(/^guests\.publicFeedGPerD$/, 'guests.publicFeedKg')
    .replace(/^beside\.(\d+)\b/, (_, i: string) => {
      const box = Number(i) - values.streams.length
      return box < 0 ? `streams.${i}` : `boxes.${box}`
    })

export const readSurvey = (values: SurveyFormValues) => PondInput.safeParse(toPondInput(values))

export interface PlaceValues {
  readonly customerId: CustomerId | 'new'
  readonly siteId: SiteId | 'new'
  readonly customer: CustomerInput
  readonly site: SiteInput
}

export const newPondBody = (place: PlaceValues, pond: PondInput): NewPondInput => ({
  customer:
    place.customerId === 'new' ? { kind: 'new', customer: place.customer } : { kind: 'existing', id: place.customerId },
  site: place.siteId === 'new' ? { kind: 'new', site: place.site } : { kind: 'existing', id: place.siteId },
  pond,
})
