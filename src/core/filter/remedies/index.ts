import type { CheckId } from '../checks'
import type { FilterDesign } from '../design-input'
import { BED_MENDS } from './bed'
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
  uv: ({ design, result, rules }) =>
    rules.uv === 'always'
      ? {
          ...design,
          companions: [
            ...design.companions,
            { kind: 'uv', mediaL: 0, ratedFlowM3PerH: Math.max(1, Math.round(result.flowM3PerH)), weirM: 0 },
          ],
        }
      : { ...design, companions: design.companions.filter((c) => c.kind !== 'uv') },
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
