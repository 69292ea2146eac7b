import { SOURCES } from '@/domain/forecasts/eco-pond'
import { USUAL_MONTHLY_C } from '@/core/filter/load/usual-year'
import type { DesignPond } from '@/core/filter/design-input'
import type { FillWater } from '@/core/water/fill-water'
import type { Season } from '@/core/season/windows'
import { pondGround } from '@/core/site-plan/pond-ground'
import { leafLoadKgPerYear } from '@/domain/ponds/leaf-load'
import type { Pond } from '@/domain/ponds/pond'
import type { PondFacts } from '@/domain/ponds/pond-facts'

/** What a filter design needs to know of a saved pond. */
export function designPond(
  pond: Pond,
  facts: PondFacts,
  season: Season | null,
  fill: Pick<FillWater, 'phosphateMgL'> | null,
): DesignPond {
  const { roomTempC } = pond
  return {
    volumeM3: facts.adopted.volumeM3,
    volumeSigmaShare: facts.adopted.sigmaM3 / facts.adopted.volumeM3,
    areaM2: facts.basin.areaM2,
    use: pond.use,
    fish: pond.fish,
    guests: pond.guests,
    fillPhosphateMgL: fill?.phosphateMgL ?? SOURCES[pond.waterSource].phosphateMgL,
    lining: pond.lining,
    shoreM: facts.basin.perimeterM,
    altitudeM: pond.altitudeM,
    // indoors the room holds the water, not the station's weather
    monthlyTempC:
      roomTempC === null ? (season?.monthlyMedianC ?? USUAL_MONTHLY_C) : USUAL_MONTHLY_C.map(() => roomTempC),
    leafKgPerYear: roomTempC === null ? leafLoadKgPerYear(pond, facts.basin) : 0,
    freeboardM: pond.freeboardM,
    ground: pondGround(facts.basin, pond.siteSurvey),
  }
}
