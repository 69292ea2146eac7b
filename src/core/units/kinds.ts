/**
 * Every kind of quantity, its canonical unit and the units people type.
 * canonical = typed × factor + offset.
 */
export interface Unit {
  readonly symbol: string
  /** Other spellings, lower case, without dots. */
  readonly names: readonly string[]
  readonly factor: number
  readonly offset?: number
}

const FOOT = 0.3048
const INCH = 0.0254
const US_GALLON = 0.003785411784
const POUND = 0.45359237
const POUND_FORCE_KN = 0.0044482216152605

const unit = (symbol: string, names: string, factor: number, offset = 0): Unit => ({
  symbol,
  names: names ? names.split('|') : [],
  factor,
  offset,
})

const LENGTHS = [
  unit('m', 'metre|metres|meter|meters', 1),
  unit('cm', 'centimetre|centimetres|centimeter|centimeters', 0.01),
  unit('mm', 'millimetre|millimetres|millimeter|millimeters', 0.001),
  unit('km', '', 1000),
  unit('ft', "feet|foot|'|′", FOOT),
  unit('in', 'inch|inches|"|″', INCH),
  unit('yd', 'yard|yards', 3 * FOOT),
]

export const UNIT_KINDS = {
  length: LENGTHS,
  area: [
    unit('m²', 'm2|sq m|sqm|square metres|square meters', 1),
    unit('ft²', 'ft2|sq ft|sqft|square feet', FOOT ** 2),
    unit('yd²', 'yd2|sq yd|square yards', (3 * FOOT) ** 2),
  ],
  volume: [
    unit('m³', 'm3|cu m|cubic metres|cubic meters', 1),
    unit('L', 'l|litre|litres|liter|liters', 0.001),
    unit('mL', 'ml', 1e-6),
    unit('gal', 'gallon|gallons|us gal', US_GALLON),
    unit('imp gal', 'imperial gallons|uk gal', 0.00454609),
    unit('ft³', 'ft3|cu ft|cubic feet', FOOT ** 3),
    unit('yd³', 'yd3|cu yd|cubic yards', (3 * FOOT) ** 3),
  ],
  flow: [
    unit('m³/h', 'm3/h|m3h|cu m/h', 1),
    unit('L/h', 'l/h|lph', 0.001),
    unit('L/min', 'l/min|lpm', 0.06),
    unit('L/s', 'l/s|lps', 3.6),
    unit('gph', 'gal/h', US_GALLON),
    unit('gpm', 'gal/min', US_GALLON * 60),
  ],
  mass: [
    unit('kg', 'kilo|kilos|kilogram|kilograms', 1),
    unit('g', 'gram|grams', 0.001),
    unit('lb', 'lbs|pound|pounds', POUND),
    unit('oz', 'ounce|ounces', POUND / 16),
    unit('t', 'tonne|tonnes', 1000),
  ],
  temperature: [unit('°C', 'c|degc|celsius', 1), unit('°F', 'f|degf|fahrenheit', 5 / 9, -160 / 9)],
  /** A difference of temperatures: no offset. */
  temperatureStep: [unit('°C', 'c|k|degc|celsius', 1), unit('°F', 'f|degf|fahrenheit', 5 / 9)],
  concentration: [unit('mg/L', 'mg/l|ppm|mgl', 1), unit('g/L', 'g/l', 1000)],
  hardness: [
    unit('°dH', 'dh|dkh|dgh|°dkh|°dgh|deg', 1),
    unit('mg/L CaCO₃', 'mg/l|ppm|mg/l caco3|ppm caco3', 1 / 17.848),
  ],
  /** Water in pipes. */
  speed: [unit('m/s', '', 1), unit('ft/s', 'fps', FOOT)],
  /** Flow over the area it crosses. */
  loading: [unit('m/h', '', 1), unit('gpm/ft²', 'gpm/ft2', (US_GALLON * 60) / FOOT ** 2)],
  /** On a length of wall, and on a floor. */
  lineLoad: [unit('kN/m', '', 1), unit('lb/ft', '', POUND_FORCE_KN / FOOT)],
  floorLoad: [unit('kN/m²', 'kn/m2', 1), unit('lb/ft²', 'psf|lb/ft2', POUND_FORCE_KN / FOOT ** 2)],
  share: [unit('%', 'percent', 0.01)],
  time: [unit('min', 'minute|minutes', 1), unit('h', 'hour|hours|hr|hrs', 60)],
  ph: [unit('', 'ph', 1)],
  number: [unit('', '', 1)],
} as const satisfies Record<string, readonly Unit[]>

export type QuantityKind = keyof typeof UNIT_KINDS
export const QUANTITY_KINDS = Object.keys(UNIT_KINDS) as QuantityKind[]
