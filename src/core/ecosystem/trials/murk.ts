import { chlorophyllOfClarity } from '../start'
import { STATE } from '../states'
import { day, firstDay, mean, run, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'
import { sizedPond } from './sizing'
import { steadyWeather } from './steady-weather'

const STILL = steadyWeather(60, 15)
const CLAY_G_PER_M3 = 60
const LEAVES_KG = 40

export const clay: Behaviour = {
  key: 'clay',
  words: 'Fine clay takes 10–30 days to halve whatever the bed, 1–3 with flocculant; dust of new gravel is gone in 1–3',
  trial: (p) => {
    const halfLife = (bed: number, floc: boolean) => {
      const storm = day('storm', 0, { rainMm: 0, siltGPerM3: CLAY_G_PER_M3 })
      const events = floc ? [storm, day('flocculant', 0.5)] : [storm]
      const half = (days: number) => {
        const { y, running } = run(p, {
          pond: sizedPond(0.3, bed),
          weather: STILL,
          startDay: 121,
          days,
          start: { kind: 'settled', known: { waterC: 15 } },
          events,
        }).end
        return (y[STATE.silt]! + y[STATE.dust]!) / running.volumeM3 < CLAY_G_PER_M3 / 2
      }
      let days = 1
      while (days < 60 && !half(days)) days++
      return days
    }
    const dusty = run(p, {
      weather: STILL,
      startDay: 121,
      days: 10,
      start: { kind: 'new', known: { waterC: 15, chlorophyll: chlorophyllOfClarity(2, p) } },
      events: [day('dust', 0, { gPerM3: 120 })],
    }).series.clarityM
    const figures = {
      smallBed: halfLife(0.05, false),
      largeBed: halfLife(0.3, false),
      flocculant: halfLife(0.1, true),
      dustClearDay: firstDay(dusty, (m) => m > 0.9),
    }
    return {
      figures,
      holds:
        figures.smallBed >= 10 &&
        figures.smallBed <= 30 &&
        figures.largeBed >= 10 &&
        figures.flocculant <= 3 &&
        figures.dustClearDay >= 1 &&
        figures.dustClearDay <= 3,
    }
  },
}

export const tea: Behaviour = {
  key: 'tea',
  words:
    'Forty kilograms of dry leaves in 20 m³ make strong tea within a month; activated carbon takes it until it is full',
  trial: (p) => {
    const autumn = {
      weather: steadyWeather(130, 10, 4),
      startDay: 275,
      start: { kind: 'settled' as const, known: { waterC: 10 } },
    }
    const pond = { ...SAMPLE_POND, leafKgPerYear: 0, autoFill: true }
    const brewed = run(p, { ...autumn, pond, days: 30, events: [day('leaves', 0, { kg: LEAVES_KG })] })
    const fades = run(p, { ...autumn, pond, days: 60, start: brewed.end })
    const little = run(p, { ...autumn, pond, days: 60, start: brewed.end, events: [day('carbon', 0, { kg: 10 })] })
    const much = run(p, { ...autumn, pond, days: 60, start: brewed.end, events: [day('carbon', 0, { kg: 150 })] })
    const figures = {
      colour: brewed.series.colour[29]!,
      clarityM: mean(brewed.series.clarityM, 25, 30),
      leachedShareOfDryMass: p.leachPerLeaf - brewed.end.y[STATE.leachable]! / (LEAVES_KG * 1000),
      fadesPerDay: 1 - (fades.series.colour[59]! / fades.series.colour[30]!) ** (1 / 29),
      colourLittleCarbon: little.series.colour[20]!,
      colourMuchCarbon: much.series.colour[20]!,
      colourNoCarbon: fades.series.colour[20]!,
      roomLeftInLittle: little.end.y[STATE.carbonRoom]!,
    }
    return {
      figures,
      holds:
        figures.clarityM < 0.8 &&
        figures.leachedShareOfDryMass > 0.05 &&
        figures.leachedShareOfDryMass < 0.13 &&
        figures.fadesPerDay > 0.005 &&
        figures.fadesPerDay < 0.025 &&
        figures.colourMuchCarbon < 0.3 * figures.colourNoCarbon &&
        figures.colourLittleCarbon > 0.6 * figures.colourNoCarbon &&
        figures.roomLeftInLittle < 15,
    }
  },
}
