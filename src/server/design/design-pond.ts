import type { DesignPond } from '@/core/filter/design-input'
import type { Season } from '@/core/season/windows'
import { TREE_EFFECT, type Pond } from '@/domain/ponds/pond'
import type { PondFacts } from '@/domain/ponds/pond-facts'

/**
 * Used for feed and bacteria until a weather station's normals are known, °C by month.
 * @source mild temperate lowland, rounded
 */
const MONTHLY_WITHOUT_WEATHER = [3, 4, 7, 11, 15, 18, 20, 20, 16, 11, 7, 4]

/** What a filter design needs to know of a saved pond. */
export function designPond(pond: Pond, facts: PondFacts, season: Season | null): DesignPond {
  return {
    volumeM3: facts.adopted.volumeM3,
    areaM2: facts.basin.areaM2,
    use: pond.use,
    fish: pond.fish,
    altitudeM: pond.altitudeM,
    monthlyTempC: season?.monthlyMedianC ?? MONTHLY_WITHOUT_WEATHER,
    leafKgPerYear: TREE_EFFECT[pond.trees].leafKgPerM2Year * facts.basin.areaM2,
    freeboardM: pond.freeboardM,
  }
}
