import { READING_KINDS, type ReadingKindName } from './readings'

/** One record of a SenML pack (RFC 8428): names, units and values may be based on those before. */
export interface SenmlRecord {
  readonly bn?: string
  readonly bt?: number
  readonly bu?: string
  readonly bv?: number
  readonly n?: string
  readonly u?: string
  readonly v?: number
  readonly t?: number
}

interface ProbeReading {
  readonly pondId: string
  readonly kind: ReadingKindName
  /** In the kind's own unit: °C, pH, mg/L, °dH, m, share. */
  readonly value: number
  /** Seconds since 1970. */
  readonly atS: number
}

export type ProbeOutcome =
  { readonly ok: true; readonly reading: ProbeReading } | { readonly ok: false; readonly message: string }

/** Times below this count from now, as RFC 8428 has it. */
const RELATIVE_BELOW_S = 2 ** 28

type Unit = (typeof READING_KINDS)[ReadingKindName]['unit']
/**
 * Units a probe may use for a kind, and what turns them into the kind's own.
 * @source RFC 8428 and RFC 8798 registries
 */
const UNITS: Readonly<Record<Unit, Readonly<Record<string, (value: number) => number>>>> = {
  tempC: { Cel: (v) => v, K: (v) => v - 273.15 },
  ph: { pH: (v) => v },
  mgL: { 'mg/l': (v) => v, 'kg/m3': (v) => v * 1000, 'g/l': (v) => v * 1000 },
  dH: { dH: (v) => v, 'mol/m3': (v) => v / 0.17832 },
  lengthM: { m: (v) => v, mm: (v) => v / 1000, cm: (v) => v / 100 },
  percent: { '/': (v) => v, '%': (v) => v / 100 },
}

/**
 * Readings out of a SenML pack. A name is the pond's id, a slash and the kind: "0b7c…/waterTemp"; base names, units,
 * values and times hold on.
 * Each record is answered for itself.
 * @param nowS seconds since 1970: what relative times count from
 */
export function readSenml(pack: readonly SenmlRecord[], nowS: number): ProbeOutcome[] {
  let [bn, bt, bu, bv] = ['', 0, '', 0]
  return pack.map((record): ProbeOutcome => {
    bn = record.bn ?? bn
    bt = record.bt ?? bt
    bu = record.bu ?? bu
    bv = record.bv ?? bv
    const name = bn + (record.n ?? '')
    const at = name.lastIndexOf('/')
    const [pondId, kind] = [name.slice(0, at), name.slice(at + 1)]
    if (at <= 0 || !Object.hasOwn(READING_KINDS, kind))
      return { ok: false, message: `“${name}” is not a pond’s id, a slash and a kind such as waterTemp.` }
    if (typeof record.v !== 'number' || !Number.isFinite(record.v))
      return { ok: false, message: `${name} has no number in v.` }
    const units = UNITS[READING_KINDS[kind as ReadingKindName].unit]
    const unit = record.u ?? bu
    const own = Object.hasOwn(units, unit) ? units[unit] : undefined
    if (!own)
      return {
        ok: false,
        message: `${name}: the unit “${unit}” is not known here; use ${Object.keys(units).join(' or ')}.`,
      }
    const time = bt + (record.t ?? 0)
    const atS = time < RELATIVE_BELOW_S ? nowS + time : time
    return { ok: true, reading: { pondId, kind: kind as ReadingKindName, value: own(bv + record.v), atS } }
  })
}
