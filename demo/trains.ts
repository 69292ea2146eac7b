import { DEFAULT_FILTER_RULES } from '../src/core/filter/house-rules'
import { evaluateDesign } from '../src/core/filter/design'
import type { FilterDesign } from '../src/core/filter/design-input'
import { withoutStops } from '../src/core/filter/suggest'
import { newUnit } from '../src/core/filter/train/new-unit'
import { UNIT_FACTS } from '../src/core/filter/train/unit-facts'
import type { TrainKind } from '../src/core/filter/train/train-unit'
import { nearestSize } from '../src/core/hydraulics/fittings'
import type { designPage } from '../src/server/design/designs'

const PIPE = { boreM: 0.11, lengthM: 4, perPipeM3PerH: 10 } as const
/** A screen before the pump, a lamp after it, air in the pond. */
const KINDS: readonly TrainKind[] = ['drum', 'uv', 'aerator']

/** A design with a filter train before its bed: set out with room, fed by gravity, its pump chosen anew. */
export function withScreens(page: Awaited<ReturnType<typeof designPage>>, bed: FilterDesign): FilterDesign {
  const { designPond: pond, rules, pumps, houseMethod } = page
  const given = { pond, rules, pumps, houseMethod }
  const { flowM3PerH } = evaluateDesign({ ...given, design: bed })
  // a larger pump may have to be taken for what the train costs in head
  const train = KINDS.map((kind) => ({
    ...newUnit(kind, { flowM3PerH: flowM3PerH * 1.2, pondM3: pond.volumeM3 }),
    clearanceM: UNIT_FACTS[kind].clearanceM,
  }))
  const { pipes } = DEFAULT_FILTER_RULES.tables
  return withoutStops(given, {
    ...bed,
    train,
    intakePipe: {
      count: Math.max(1, Math.ceil(flowM3PerH / PIPE.perPipeM3PerH)),
      diameterM: nearestSize(PIPE.boreM, pipes).boreM,
      lengthM: PIPE.lengthM,
    },
  })
}
