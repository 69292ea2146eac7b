import type { PondEvent } from '../events'
import type { EcoPond } from '../pond'
import type { EcoResult } from '../simulate'
import { day, firstDay, max, mean, min, run, withFilter, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'

const shares = (changes: Partial<EcoPond['plants']>) => ({
  marginalShare: 0.1,
  lilyShare: 0,
  floatingShare: 0,
  submergedShare: 0,
  ...changes,
})

export const greenWater: Behaviour = {
  key: 'green-water',
  words:
    'A well-sized bog clears a green pond in 1–4 weeks of summer; half of it does not; a lamp alone clears in 3–10 days and leaves the nutrients',
  trial: (p) => {
    const green = { startDay: 151, days: 40, start: { kind: 'green' as const, known: { waterC: 19 } } }
    const lampOnly = { ...SAMPLE_POND, filter: { ...withFilter(0.1).filter, flowM3PerH: 8, uvFlowM3PerH: 6 } }
    const [well, half, lamp] = [
      run(p, green),
      run(p, { ...green, pond: withFilter(0.5) }),
      run(p, { ...green, pond: lampOnly }),
    ]
    const clear = (r: EcoResult) => firstDay(r.series.clarityM, (m) => m > 0.6)
    const figures = {
      wellClearDay: clear(well),
      halfClarityDay28M: half.series.clarityM[28]!,
      wellClarityDay28M: well.series.clarityM[28]!,
      lampClearDay: clear(lamp),
      lampPhosphateDay20: lamp.series.phosphate[20]!,
    }
    return {
      figures,
      holds:
        figures.wellClearDay >= 4 &&
        figures.wellClearDay <= 30 &&
        figures.halfClarityDay28M < 0.7 &&
        figures.wellClarityDay28M > 1.3 * figures.halfClarityDay28M &&
        figures.lampClearDay >= 3 &&
        figures.lampClearDay <= 10 &&
        figures.lampPhosphateDay20 > 0.1,
    }
  },
}

export const load: Behaviour = {
  key: 'load',
  words:
    'Doubling feed raises ammonia and algae, halving fish lowers them; oxygen is least at dawn and falls with an algal crash',
  trial: (p) => {
    // few fish and little filter: where what is fed decides how green it gets
    const lean = { ...withFilter(0.2), fish: { ...SAMPLE_POND.fish, massKg: 2, feedFromC: 8 } }
    const pond = withFilter(0.6)
    const feeding = (of: EcoPond, fish: Partial<EcoPond['fish']>, start: 'new' | 'settled') =>
      run(p, { pond: { ...of, fish: { ...of.fish, ...fish } }, days: 270, start: { kind: start } })
    const [base, fed, fewer] = [
      feeding(pond, {}, 'settled'),
      feeding(pond, { feedFactor: 2 }, 'settled'),
      feeding(pond, { massKg: 6 }, 'settled'),
    ]
    const [leanBase, leanFed, leanFewer] = [
      feeding(lean, {}, 'new'),
      feeding(lean, { feedFactor: 2 }, 'new'),
      feeding(lean, { massKg: 1 }, 'new'),
    ]
    const tan = (r: EcoResult) => mean(r.series.tan, 180, 270)
    const algae = (r: EcoResult) => mean(r.series.filamentousGM2, 180, 270) + mean(r.series.chlorophyll, 180, 270)
    const soup = {
      pond: withFilter(0.15),
      startDay: 171,
      days: 30,
      start: { kind: 'green' as const, known: { waterC: 21 } },
      every: 'hour' as const,
    }
    const crash = run(p, { ...soup, events: [day('kill-algae', 15, { share: 0.9 })] })
    const calm = run(p, soup)
    const dayBefore = calm.series.oxygen.slice(14 * 24, 15 * 24)
    const figures = {
      tanBase: tan(base),
      tanFed: tan(fed),
      tanFewer: tan(fewer),
      algaeBase: algae(leanBase),
      algaeFed: algae(leanFed),
      algaeFewer: algae(leanFewer),
      leastOxygenHour: dayBefore.indexOf(min(dayBefore)),
      calmLeastOxygen: min(calm.series.oxygen, 15 * 24, 22 * 24),
      crashLeastOxygen: min(crash.series.oxygen, 15 * 24, 22 * 24),
    }
    return {
      figures,
      holds:
        figures.tanFed > 1.2 * figures.tanBase &&
        figures.tanFewer < 0.95 * figures.tanBase &&
        figures.algaeFed > 1.03 * figures.algaeBase &&
        figures.algaeFewer < 0.97 * figures.algaeBase &&
        figures.leastOxygenHour >= 2 &&
        figures.leastOxygenHour <= 8 &&
        figures.crashLeastOxygen < 0.9 * figures.calmLeastOxygen,
    }
  },
}

export const shade: Behaviour = {
  key: 'shade',
  words: 'Lilies shade; floating plants out-compete green water; cutting them hard in June lets algae back for a while',
  trial: (p) => {
    const green = (plants: EcoPond['plants'], events: PondEvent[] = []) => {
      const pond = { ...withFilter(0.4), plants }
      return run(p, { pond, startDay: 136, days: 100, start: { kind: 'green', known: { waterC: 18 } }, events }).series
        .chlorophyll
    }
    const bare = green(shares({}))
    const lilies = green(shares({ lilyShare: 0.6 }))
    const floating = green(shares({ floatingShare: 0.7 }))
    const cut = green(shares({ floatingShare: 0.7 }), [day('cut', 35, { plants: 'floating', share: 0.85 })])
    const late = (values: Float64Array) => mean(values, 60, 100)
    const figures = {
      bare: late(bare),
      lilies: late(lilies),
      floating: late(floating),
      floatingAfter: max(floating, 38, 60),
      cutAfter: max(cut, 38, 60),
    }
    return {
      figures,
      holds:
        figures.lilies < 0.9 * figures.bare &&
        figures.floating < 0.7 * figures.bare &&
        figures.cutAfter > 1.15 * figures.floatingAfter,
    }
  },
}
