import type { EcoPond } from '../pond'
import { dayOfMost, max, mean, run, YEARS, type Behaviour } from './kit'
import { sizedPond } from './sizing'

const YEAR = 365
const [APRIL, JULY, AUGUST, SEPTEMBER, NOVEMBER] = [90, 181, 212, 243, 304] as const

export const stringAlgae: Behaviour = {
  key: 'string-algae',
  words:
    'String algae bloom in spring, fall back in summer, come back a little in autumn; they are less by the third year and under shade',
  trial: (p) => {
    const pond: EcoPond = {
      ...sizedPond(0.3, 0.12),
      plants: { marginalShare: 0.7, lilyShare: 0.2, floatingShare: 0, submergedShare: 0.15 },
    }
    const weather = [...YEARS, ...YEARS]
    const three = run(p, { pond, weather, days: 3 * YEAR, start: { kind: 'new' } }).series.filamentousGM2
    const shaded = run(p, { pond: { ...pond, shade: 0.7 }, weather, days: YEAR, start: { kind: 'new' } }).series
      .filamentousGM2
    const first = three.slice(0, YEAR)
    const second = three.slice(YEAR, 2 * YEAR)
    const third = three.slice(2 * YEAR)
    const figures = {
      firstPeakDay: dayOfMost(first),
      secondPeakDay: dayOfMost(second),
      firstPeak: max(first),
      secondPeak: max(second),
      thirdPeak: max(third),
      secondLateSummer: mean(second, AUGUST, SEPTEMBER),
      secondAutumn: max(second, SEPTEMBER, NOVEMBER),
      shadedPeak: max(shaded),
    }
    return {
      figures,
      holds:
        figures.secondPeakDay >= APRIL &&
        figures.secondPeakDay <= JULY &&
        figures.firstPeak > 8 &&
        figures.secondLateSummer < 0.6 * figures.secondPeak &&
        figures.secondAutumn < 0.7 * figures.secondPeak &&
        figures.thirdPeak < 0.9 * figures.firstPeak &&
        figures.shadedPeak < 0.8 * figures.firstPeak,
    }
  },
}
