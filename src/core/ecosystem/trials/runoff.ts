import { day, max, min, run, type Behaviour } from './kit'
import { sizedPond } from './sizing'
import { USUAL_SOURCE } from '../pond'
import type { RunoffFrom } from '../runoff'
import { STATE } from '../states'

export const runoff: Behaviour = {
  key: 'runoff',
  words:
    'A fed lawn brings nutrients, manure ammonia and want of oxygen, soft water a slide of pH and KH, a salted road salt',
  trial: (p) => {
    const pond = { ...sizedPond(0.3, 0.12), source: { ...USUAL_SOURCE, alkalinityMgL: 40 } }
    const until = run(p, { pond, days: 165 })
    const go = (from: RunoffFrom | null, volumeM3: number) => {
      const events = from === null ? [] : [day('runoff', 1, { from, volumeM3 })]
      return run(p, { pond, start: until.end, startDay: 166, days: 10, events })
    }
    const [none, lawn, manure, roof, road] = [
      go(null, 0),
      go('lawn', 3),
      go('manure', 3),
      go('roof', 15),
      go('road', 3),
    ]
    const salt = (r: typeof none) => r.end.y[STATE.salt]! / r.end.running.volumeM3
    const figures = {
      nitrateNone: max(none.series.nitrate),
      nitrateLawn: max(lawn.series.nitrate),
      phosphateNone: max(none.series.phosphate),
      phosphateLawn: max(lawn.series.phosphate),
      tanNone: max(none.series.tan),
      tanManure: max(manure.series.tan),
      oxygenNone: min(none.series.oxygen, 1),
      oxygenManure: min(manure.series.oxygen, 1),
      khNone: min(none.series.khDH),
      khRoof: min(roof.series.khDH),
      phNone: min(none.series.ph, 1),
      phRoof: min(roof.series.ph, 1),
      saltRoad: salt(road),
      saltNone: salt(none),
    }
    return {
      figures,
      holds:
        figures.nitrateLawn > figures.nitrateNone + 0.5 &&
        figures.phosphateLawn > figures.phosphateNone + 0.1 &&
        figures.tanManure > figures.tanNone + 2 &&
        figures.oxygenManure < figures.oxygenNone - 0.7 &&
        figures.khRoof < 0.75 * figures.khNone &&
        figures.phRoof < figures.phNone &&
        figures.saltRoad > figures.saltNone + 200,
    }
  },
}
