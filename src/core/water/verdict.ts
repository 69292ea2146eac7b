import { AMMONIA_RANGE, unionisedAmmonia } from './ammonia'
import { carbonDioxideMgL, CARBONATE_RANGE } from './carbonate'
import { CACO3_MGL_PER_DKH } from './mixing'
import { OXYGEN_RANGE, oxygenSaturationMgL } from './dissolved-oxygen'
import { readingBand, type ReadingKindName, type WaterBand } from './readings'
import { DAY_MS } from '../numeric/time'

/** What was measured of one water, each in its canonical unit. */
export type WaterSample = Readonly<Partial<Record<ReadingKindName, number>>>

/** How ammonia was judged: by its toxic share, or by the total alone since pH or temperature is missing. */
type AmmoniaBasis = 'nh3' | 'tan-alone'

export interface WaterVerdict {
  /**
   * Every given reading with what it means; `tan` is judged by its toxic share wherever pH and temperature are given.
   */
  readonly bands: Readonly<Partial<Record<ReadingKindName, WaterBand>>>
  /** Un-ionised ammonia as N, mg/L; null where it cannot be known. */
  readonly nh3MgL: number | null
  readonly ammoniaBasis: AmmoniaBasis | null
  readonly co2MgL: number | null
  /** 1 is saturated. */
  readonly oxygenSaturation: number | null
  /** Readings that are still needed to judge what was given. */
  readonly missing: readonly ReadingKindName[]
}

const within = (value: number | undefined, [min, max]: readonly [number, number]): value is number =>
  value !== undefined && value >= min && value <= max

/**
 * What water tests mean, the one verdict for pond page, Today, phone, report, customer's page, forecasts and diagnosis.
 * Ammonia is judged by NH3; by TAN alone only where pH or temperature is missing, which is then named.
 * @param sample readings that belong together, canonical units (°C, mg/L, °dH, m, share of weight)
 * @param altitudeM height above sea, m
 * @source Emerson 1975 (NH3), Benson & Krause 1984 (oxygen), Harned & Davis 1943 (CO2); bands as in readings.ts and
 * ammonia.ts
 */
export function waterVerdict(sample: WaterSample, altitudeM = 0): WaterVerdict {
  const { tan, ph, waterTemp, kh, dissolvedOxygen } = sample
  const kinds = Object.keys(sample).filter((kind) => sample[kind as ReadingKindName] !== undefined) as ReadingKindName[]
  const bands: Partial<Record<ReadingKindName, WaterBand>> = Object.fromEntries(
    kinds.map((kind) => [kind, readingBand(kind, sample[kind]!)]),
  )
  const whole =
    within(tan, AMMONIA_RANGE.tanMgL) && within(ph, AMMONIA_RANGE.ph) && within(waterTemp, AMMONIA_RANGE.tempC)
  const toxic = whole ? unionisedAmmonia(tan, ph, waterTemp) : null
  if (toxic) bands.tan = toxic.band
  const ammoniaBasis = () => {
    if (tan === undefined) return null
    if (toxic) return 'nh3'
    return 'tan-alone'
  }
  return {
    bands,
    nh3MgL: toxic?.nh3MgL ?? null,
    ammoniaBasis: ammoniaBasis(),
    co2MgL:
      kh !== undefined &&
      within(kh * CACO3_MGL_PER_DKH, CARBONATE_RANGE.alkalinityMgL) &&
      within(ph, CARBONATE_RANGE.ph) &&
      within(waterTemp, CARBONATE_RANGE.tempC)
        ? carbonDioxideMgL(kh * CACO3_MGL_PER_DKH, ph, waterTemp)
        : null,
    oxygenSaturation:
      dissolvedOxygen !== undefined && within(waterTemp, OXYGEN_RANGE.tempC)
        ? dissolvedOxygen / oxygenSaturationMgL(waterTemp, altitudeM)
        : null,
    missing: tan === undefined ? [] : (['ph', 'waterTemp'] as const).filter((kind) => sample[kind] === undefined),
  }
}

/** A test of a pond with its moment. */
export interface DatedReading {
  readonly kind: ReadingKindName
  readonly value: number
  readonly belowStep?: boolean
  /** ISO time. */
  readonly takenAt: string
}

/**
 * pH and temperature within so many days of an ammonia test belong to it.
 * @source house default: pH swings within days, not within hours of a visit
 */
export const TOGETHER_DAYS = 3
/** The newest reading of each kind; of the same moment the one that comes later. */
export function newestOfEach<Line extends DatedReading>(readings: readonly Line[]): Map<ReadingKindName, Line> {
  const newest = new Map<ReadingKindName, Line>()
  for (const r of readings) {
    const before = newest.get(r.kind)
    if (!before || Date.parse(r.takenAt) >= Date.parse(before.takenAt)) newest.set(r.kind, r)
  }
  return newest
}

/** Toxic ammonia at the moment of one ammonia test. */
export interface ToxicAmmonia {
  /** ISO time of the ammonia test. */
  readonly takenAt: string
  /** Un-ionised ammonia as N, mg/L. */
  readonly nh3MgL: number
}

/**
 * Toxic ammonia over time: at each ammonia test that a pH and a temperature belong to, those nearest to it within
 * TOGETHER_DAYS; a test that saw nothing counts as zero. Tests with nothing to judge them by are left out.
 * @param readings in any order, canonical units
 * @returns oldest first
 * @source Emerson 1975
 */
export function toxicAmmoniaOverTime(readings: readonly DatedReading[]): ToxicAmmonia[] {
  const of = (kind: ReadingKindName) => readings.filter((r) => r.kind === kind)
  const [ph, temps] = [of('ph'), of('waterTemp')]
  return of('tan')
    .flatMap((tan): ToxicAmmonia[] => {
      const nearest = (lines: readonly DatedReading[]): number | undefined => {
        const away = (r: DatedReading) => Math.abs(Date.parse(r.takenAt) - Date.parse(tan.takenAt))
        const near = lines.filter((r) => away(r) <= TOGETHER_DAYS * DAY_MS).sort((a, b) => away(a) - away(b))
        return near[0]?.value
      }
      const { nh3MgL } = waterVerdict({
        tan: tan.belowStep ? 0 : tan.value,
        ph: nearest(ph),
        waterTemp: nearest(temps),
      })
      return nh3MgL === null ? [] : [{ takenAt: tan.takenAt, nh3MgL }]
    })
    .sort((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt))
}

/**
 * The verdict on a pond's newest test of each kind; ammonia, CO2 and saturation go by readings of the same days alone.
 * @param readings at least the newest of each kind; a test that saw nothing counts as zero
 */
export function verdictOfLatest(readings: readonly DatedReading[], altitudeM = 0): WaterVerdict {
  const newest = newestOfEach(readings)
  const sampleOf = (lines: readonly DatedReading[]): WaterSample =>
    Object.fromEntries(lines.map((r) => [r.kind, r.belowStep ? 0 : r.value]))
  const around = (kind: ReadingKindName): WaterVerdict => {
    const anchor = newest.get(kind)
    const near = anchor
      ? [...newest.values()].filter(
          (r) => Math.abs(Date.parse(r.takenAt) - Date.parse(anchor.takenAt)) <= TOGETHER_DAYS * DAY_MS,
        )
      : []
    return waterVerdict(sampleOf(near), altitudeM)
  }
  const ammonia = around('tan')
  return {
    bands: {
      ...waterVerdict(sampleOf([...newest.values()]), altitudeM).bands,
      ...(ammonia.bands.tan ? { tan: ammonia.bands.tan } : {}),
    },
    nh3MgL: ammonia.nh3MgL,
    ammoniaBasis: ammonia.ammoniaBasis,
    missing: ammonia.missing,
    co2MgL: around('kh').co2MgL,
    oxygenSaturation: around('dissolvedOxygen').oxygenSaturation,
  }
}
