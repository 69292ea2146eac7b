import type { EcoResult } from '../simulate'
import { STATE } from '../states'
import { day, max, min, run, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'

export const stirring: Behaviour = {
  key: 'stirring',
  words:
    'A neglected floor that is vacuumed at once lets out oxygen demand and ammonia; a section at a time each pulse stays small; weeks later less rots',
  trial: (p) => {
    // air on first, as a rescue begins
    const start = {
      pond: { ...SAMPLE_POND, aeratorGPerD: 300 },
      startDay: 131,
      days: 45,
      start: { kind: 'neglected' as const, known: { waterC: 16 } },
      every: 'hour' as const,
    }
    const [untouched, whole, section] = [0, 0.95, 0.2].map((share) =>
      run(p, { ...start, events: share > 0 ? [day('vacuum', 2.5, { share })] : [] }),
    )
    // the hours after the work
    const [from, to] = [2.5 * 24, 3 * 24]
    const dip = (r: EcoResult) => min(untouched!.series.oxygen, from, to) - min(r.series.oxygen, from, to)
    const ammonia = (r: EcoResult) => max(r.series.tan, from, to) - max(untouched!.series.tan, from, to)
    const muckAt = (r: EcoResult) => r.end.y[STATE.muck]!
    const figures = {
      wholeOxygenDip: dip(whole!),
      sectionOxygenDip: dip(section!),
      wholeOxygen: min(whole!.series.oxygen, from, to),
      wholeAmmoniaPulse: ammonia(whole!),
      sectionAmmoniaPulse: ammonia(section!),
      muckLeft: muckAt(whole!) / muckAt(untouched!),
    }
    return {
      figures,
      holds:
        (figures.wholeOxygenDip > 2 || figures.wholeOxygen < 1) &&
        figures.sectionOxygenDip > 0 &&
        figures.sectionOxygenDip < 0.7 * figures.wholeOxygenDip &&
        figures.wholeAmmoniaPulse > 0.1 &&
        figures.sectionAmmoniaPulse < 0.5 * figures.wholeAmmoniaPulse &&
        figures.muckLeft < 0.3,
    }
  },
}
