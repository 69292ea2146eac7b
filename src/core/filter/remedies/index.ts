import type { CheckId } from '../checks'
import type { FilterDesign } from '../design-input'
import { BED_MENDS } from './bed'
import { TRAIN_MENDS } from './train'
import { newUnit } from '../train/new-unit'
import { inOrder } from '../train/order'
import { FLOW_MENDS } from './flow'
import type { Context, Mend } from './remedy'
import { SIZE_MENDS } from './size'

const confirm =
  (what: FilterDesign['confirmed'][number]): Mend =>
  ({ design }) => ({ ...design, confirmed: [...design.confirmed, what] })

/** One change that mends a check, where one change can. Checks without an entry are for the designer to think about. */
const MENDS: Partial<Record<CheckId, Mend>> = {
  ...SIZE_MENDS,
  ...FLOW_MENDS,
  ...BED_MENDS,
  ...TRAIN_MENDS,
  uv: ({ pond, design, result, rules }) =>
    rules.uv === 'always'
      ? {
          ...design,
          train: inOrder([...design.train, newUnit('uv', { flowM3PerH: result.flowM3PerH, pondM3: pond.volumeM3 })]),
        }
      : { ...design, train: design.train.filter((unit) => unit.kind !== 'uv') },
  electrics: confirm('electrics'),
  'auto-fill': confirm('auto-fill'),
  children: confirm('children'),
  services: confirm('services'),
  'wall-loads': confirm('engineer'),
  winter: ({ design }) => (design.winter === 'runs' && design.vault ? { ...design, winter: 'drained' } : null),
}

/** Checks that are mended by having looked on site: the button says so. */
export const CONFIRMED_ON_SITE: readonly CheckId[] = ['electrics', 'auto-fill', 'children', 'services', 'wall-loads']

/** The design with one check mended, or null when no single change does it. */
export const remedied = (id: CheckId, context: Context): FilterDesign | null => MENDS[id]?.(context) ?? null
