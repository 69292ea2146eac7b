import type { QuantityKind } from '../../core/units/kinds'
import type { QuantityScale } from '../../core/units/systems'
import { READING_KINDS, type ReadingKind, type ReadingKindName, type WaterBand } from '../../core/water/readings'

export const READING_NAMES: Readonly<Record<ReadingKindName, string>> = {
  waterTemp: 'Water temperature',
  tapTemp: 'Tap temperature',
  tapPh: 'Fill water pH',
  tapKh: 'Fill water KH',
  tankTemp: 'Tank temperature',
  ph: 'pH',
  tan: 'Total ammonia (TAN)',
  nitrite: 'Nitrite',
  nitrate: 'Nitrate',
  kh: 'KH',
  gh: 'GH',
  dissolvedOxygen: 'Dissolved oxygen',
  tankOxygen: 'Tank oxygen',
  freeChlorine: 'Free chlorine',
  tapChlorine: 'Tap chlorine',
  clarityDepth: 'Clarity depth',
  sludgeDepth: 'Sludge depth',
  orthophosphate: 'Orthophosphate',
  totalChlorine: 'Total chlorine',
  salinity: 'Salt',
}

const KIND_OF: Readonly<Record<ReadingKind['unit'], QuantityKind>> = {
  tempC: 'temperature',
  ph: 'ph',
  mgL: 'concentration',
  dH: 'hardness',
  lengthM: 'length',
  percent: 'share',
}

/** The kind of quantity a reading is typed and shown as. */
export const readingQuantity = (kind: ReadingKindName): QuantityKind => KIND_OF[READING_KINDS[kind].unit]

/** Depths at a pond are told in millimetres or inches. */
export const readingScale = (kind: ReadingKindName): QuantityScale => (kind === 'sludgeDepth' ? 'small' : 'usual')

export const BAND_NAMES: Readonly<Record<WaterBand, string>> = { fine: 'Fine', watch: 'Watch', act: 'Act', emergency: 'Emergency' }
