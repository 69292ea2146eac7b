import { max, mean, run, YEARS, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'
import { steadyWeather } from './steady-weather'

const [MAY, AUGUST] = [120, 212] as const

export const warmth: Behaviour = {
  key: 'warmth',
  words:
    'Ice thickens to 15–45 cm in a winter of −5 °C, 8–20 at −1; an open pond stays within 2–4 °C of the air of May to July',
  trial: (p) => {
    const winter = (airC: number) => {
      const days = 90
      const pond = { ...SAMPLE_POND, fallM: 0, filter: { ...SAMPLE_POND.filter, flowM3PerH: 0 } }
      const weather = steadyWeather(days, airC, 3)
      return max(
        run(p, { pond, weather, startDay: 335, days, start: { kind: 'settled', known: { waterC: 3 } } }).series.iceM,
      )
    }
    const open = run(p, { pond: { ...SAMPLE_POND, shade: 0.1, windShare: 0.7 } })
    const air = YEARS.slice(MAY, AUGUST).reduce((sum, d) => sum + (d.minAirC + d.maxAirC) / 2, 0) / (AUGUST - MAY)
    const figures = {
      iceAtMinus5M: winter(-5),
      iceAtMinus1M: winter(-1),
      warmerThanAirC: mean(open.series.waterC, MAY, AUGUST) - air,
    }
    return {
      figures,
      holds:
        figures.iceAtMinus5M >= 0.15 &&
        figures.iceAtMinus5M <= 0.45 &&
        figures.iceAtMinus1M >= 0.08 &&
        figures.iceAtMinus1M <= 0.2 &&
        figures.warmerThanAirC >= 0 &&
        figures.warmerThanAirC <= 4,
    }
  },
}
