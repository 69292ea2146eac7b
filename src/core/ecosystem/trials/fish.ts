import { day, max, min, run, type Behaviour } from './kit'
import { sizedPond } from './sizing'
import { steadyWeather } from './steady-weather'

export const fishLives: Behaviour = {
  key: 'fish',
  words: 'Fish that lack oxygen leave their food, so ammonia does not run away; what kills them makes load of the dead',
  trial: (p) => {
    // far too many fish in a still pond without a filter, in the heat
    const pond = { ...sizedPond(3, 0), fallM: 0, filter: { ...sizedPond(3, 0).filter, flowM3PerH: 0 } }
    const heat = {
      weather: steadyWeather(120, 25, 10),
      startDay: 182,
      start: { kind: 'green' as const, known: { waterC: 24 } },
    }
    const crowded = run(p, { ...heat, pond, days: 60 })
    const calm = run(p, { ...heat, pond: sizedPond(0.3, 0.15), days: 60 })
    const struck = run(p, {
      ...heat,
      pond: { ...sizedPond(0.6, 0.15), source: { ...pond.source, chlorineMgL: 2 } },
      days: 30,
      events: [day('water-change', 5, { fraction: 0.6, dechlorinated: false })],
    })
    const figures = {
      crowdedMostTan: max(crowded.series.tan),
      crowdedLeastOxygen: min(crowded.series.oxygen),
      crowdedAlive: min(crowded.series.fishAlive),
      calmAlive: min(calm.series.fishAlive),
      struckAlive: min(struck.series.fishAlive),
      struckCarcassesG: max(struck.series.carcassesG),
      struckTanAfter: max(struck.series.tan, 6, 20) - max(struck.series.tan, 0, 5),
    }
    return {
      figures,
      holds:
        figures.crowdedMostTan < 40 &&
        figures.crowdedAlive < 0.9 &&
        figures.calmAlive > 0.98 &&
        figures.struckAlive < 0.7 &&
        figures.struckCarcassesG > 50 &&
        figures.struckTanAfter > 0.1,
    }
  },
}
