import { fromCanonical, unitBySymbol } from './convert'
import type { QuantityKind } from './kinds'
import { SHOWN_UNIT, type QuantityScale, type UnitSystem } from './systems'

export interface FormatOptions {
  readonly scale?: QuantityScale
  /** Significant figures for numbers below 1000; above, whole numbers. */
  readonly significant?: number
  readonly locale?: string
  /** Leave the unit off (for table columns with the unit in the heading). */
  readonly bare?: boolean
}

/** Fixed decimals read better than significant figures for these. */
const DECIMALS: Partial<Record<QuantityKind, number>> = { temperature: 1, temperatureStep: 1, ph: 1 }

/**
 * A quantity in words: number and unit in the person's system, "3.42 m³", "904 gal", "12 ft 6 in".
 * @param value in the kind's canonical unit
 */
export function formatQuantity(
  value: number,
  kind: QuantityKind,
  system: UnitSystem,
  options: FormatOptions = {},
): string {
  const { scale = 'usual', significant = 3, locale = 'en', bare = false } = options
  if (!Number.isFinite(value)) return '–'
  const symbol = shownSymbol(value, kind, system, scale, bare)
  if (kind === 'length' && symbol === 'ft' && !bare) return feetAndInches(value)
  const shown = fromCanonical(value, unitBySymbol(kind, symbol))
  const text = formatNumber(shown, locale, significant, DECIMALS[kind])
  return bare || symbol === '' ? text : `${text}\u00a0${symbol}`
}

/** Volumes of a tub or a tank read better in litres than in thousandths of a cubic metre. */
const LITRES_BELOW_M3 = 0.5

function shownSymbol(
  value: number,
  kind: QuantityKind,
  system: UnitSystem,
  scale: QuantityScale,
  bare: boolean,
): string {
  const symbol = SHOWN_UNIT[system][kind][scale]
  return symbol === 'm³' && !bare && value !== 0 && Math.abs(value) < LITRES_BELOW_M3 ? 'L' : symbol
}

/** What is left of a sum that came to nothing. */
const NOTHING = 1e-9

export function formatNumber(value: number, locale = 'en', significant = 3, decimals?: number): string {
  const whole = Math.abs(value) >= 10 ** significant
  const digits = (): Intl.NumberFormatOptions => {
    if (decimals !== undefined) return { maximumFractionDigits: decimals, minimumFractionDigits: decimals }
    if (whole) return { maximumFractionDigits: 0 }
    return { maximumSignificantDigits: significant }
  }
  const options: Intl.NumberFormatOptions = digits()
  return new Intl.NumberFormat(locale, options).format(Math.abs(value) < NOTHING ? 0 : value)
}

function feetAndInches(metres: number): string {
  const inches = Math.round(Math.abs(metres) / 0.0254)
  const [feet, rest] = [Math.floor(inches / 12), inches % 12]
  const sign = metres < 0 ? '−' : ''
  if (feet === 0) return `${sign}${rest}\u00a0in`
  return rest === 0 ? `${sign}${feet}\u00a0ft` : `${sign}${feet}\u00a0ft\u00a0${rest}\u00a0in`
}
