import type { QuantityKind } from '../../core/units/kinds'
import type { QuantityScale } from '../../core/units/systems'
import { READING_KINDS, readingKind, type ReadingKind, type ReadingKindName } from '../../core/water/readings'

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
export const readingScale = (kind: ReadingKindName): QuantityScale => (readingKind(kind).small ? 'small' : 'usual')
