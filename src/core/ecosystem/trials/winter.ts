import type { EcoPond } from '../pond'
import type { EcoResult } from '../simulate'
import { day, FILTER, mean, run, YEARS, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'

export const winter: Behaviour = {
  key: 'winter',
  words:
    'Under closed ice oxygen falls and CO2 rises over weeks; a hole or an aerator prevents it; plants taken out in autumn leave less nutrient for spring',
  trial: (p) => {
    const cold = YEARS.slice(304).map((d) => ({ ...d, minAirC: d.minAirC - 6, maxAirC: d.maxAirC - 6 }))
    const still = {
      ...SAMPLE_POND,
      fallM: 0,
      fish: { ...SAMPLE_POND.fish, massKg: 6 },
      filter: { ...FILTER, flowM3PerH: 0 },
    }
    const under = (changes: Partial<EcoPond>) =>
      run(p, { pond: { ...still, ...changes }, weather: cold, startDay: 305, days: 120 })
    const [sealed, hole, aerator] = [under({}), under({ iceHole: true }), under({ aeratorGPerD: 150 })]
    const lush: EcoPond = {
      ...SAMPLE_POND,
      fish: { ...SAMPLE_POND.fish, massKg: 2 },
      filter: { ...FILTER, areaM2: 10 },
      plants: { marginalShare: 0.9, lilyShare: 0.3, floatingShare: 0, submergedShare: 0.3 },
    }
    const cuts = [
      day('cut', 300, { plants: 'marginals', share: 0.9 }),
      day('cut', 300, { plants: 'lilies', share: 0.9 }),
      day('cut', 300, { plants: 'submerged', share: 0.8 }),
      day('cut', 318, { plants: 'marginals', share: 0.95 }),
    ]
    const left = run(p, { pond: lush, days: 475 })
    const taken = run(p, { pond: lush, days: 475, events: cuts })
    const nutrient = (r: EcoResult) => mean(r.series.nitrate, 430, 470) + mean(r.series.tan, 430, 470)
    const figures = {
      sealedOxygen: sealed.series.oxygen[90]!,
      holeOxygen: hole.series.oxygen[90]!,
      aeratorOxygen: aerator.series.oxygen[90]!,
      sealedCarbonDioxide: sealed.series.carbonDioxide[90]!,
      holeCarbonDioxide: hole.series.carbonDioxide[90]!,
      springNitrogenLeft: nutrient(left),
      springNitrogenTaken: nutrient(taken),
    }
    return {
      figures,
      holds:
        figures.sealedOxygen < 3 &&
        figures.holeOxygen > figures.sealedOxygen + 2 &&
        figures.aeratorOxygen > 6 &&
        figures.sealedCarbonDioxide > 1.5 * figures.holeCarbonDioxide &&
        figures.springNitrogenTaken < 0.9 * figures.springNitrogenLeft,
    }
  },
}
