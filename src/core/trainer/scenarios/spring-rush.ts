import type { TrainerScenario } from '../scenario'
import { done, feedAt, firstAid, NO_LAMP, TRAINING_POND, sees, task, weeksSince } from './parts'

const WEDDING_DAY = 80

/** An hour a week between other ponds, cold bacteria, hungry fish, and a date. */
export const springRush: TrainerScenario = {
  title: 'The spring rush on one pond',
  brief:
    'Every pond on the island wakes at once, and this one gets an hour a week of you. It was shut down in November: the pump stands, last year’s plants stand yellow in the bed, leaves lie on the floor. On 29 May there is a wedding beside it.',
  wish: '“It must be clear on the day. There will be photographs.”',
  startsOn: '03-10',
  weeks: 13,
  minutesPerWeek: 60,
  pond: { ...TRAINING_POND, fish: { ...TRAINING_POND.fish, massKg: 24, feedFromC: 7 } },
  fish: 16,
  start: 'settled',
  handedOver: [
    NO_LAMP,
    { kind: 'pump', running: false, daysBefore: 115 },
    { kind: 'ice-hole', open: true, daysBefore: 115 },
  ],
  surprises: [
    {
      key: 'feeding',
      chance: 0.7,
      weeks: [2, 5],
      told: '“They came up on that sunny day, so we gave them the winter’s worth.”',
      deeds: [{ kind: 'feed', factor: 2.5, day: 2 }],
    },
    {
      key: 'frost',
      chance: 0.5,
      weeks: [3, 6],
      told: 'Frost came back for a week.',
      deeds: [{ kind: 'heatwave', days: 6, warmerC: -7, day: 0 }],
    },
    {
      key: 'storm',
      chance: 0.5,
      weeks: [6, 9],
      told: '“The gutter came down in the storm, and the bank with it.”',
      deeds: [{ kind: 'storm', rainMm: 40, siltGPerM3: 30, day: 3 }],
    },
  ],
  weights: { fish: 30, safe: 15, clear: 10, clearOn: 25, fed: 5, thrift: 15 },
  clearOn: { day: WEDDING_DAY, words: 'clear for the wedding' },
  house: {
    name: 'As the house does it',
    policy: (view, test, past) => {
      if (sees(view, 'pump-stands'))
        return {
          tasks: [task('pump', 'on'), task('bacteria', 'media'), ...feedAt(view, 0)],
          why: 'First the pump: bacteria need weeks of running water before the fish are hungry. No feed yet.',
        }
      const aid = firstAid(view)
      if (!done(past, 'cut'))
        return {
          tasks: [...aid, task('cut', 'bed')],
          why: 'Last year’s stand comes out before it rots into spring’s food for algae.',
        }
      const waterC = test('waterTemp')
      const nitrogen = waterC > 9 ? Math.max(test('tan') / 1, test('nitrite') / 0.5) : 0
      if (nitrogen >= 1)
        return {
          tasks: [...aid, ...feedAt(view, 0), task('water-change', 'tenth')],
          why: 'Appetite is ahead of the bacteria: no feed, a little water, and a week.',
        }
      const feed = waterC < 10 ? feedAt(view, 0) : feedAt(view, waterC < 14 ? 0.5 : 1)
      const light = waterC >= 9 && !done(past, 'feed-kind') ? [task('feed-kind', 'light')] : []
      if (weeksSince(past, 'vacuum') > 2 && view.week <= 7)
        return {
          tasks: [...aid, ...feed, ...light, task('vacuum', 'third')],
          why: 'A third of the floor at a time, before it is warm.',
        }
      if (sees(view, 'water-murky') && view.week >= 8 && !done(past, 'uv'))
        return {
          tasks: [...aid, ...feed, task('uv', 'on')],
          why: 'Green so near the date: a hired lamp clears it in a week or two, and the bed does the rest.',
        }
      if (sees(view, 'string-algae-much', 'string-algae-some') && weeksSince(past, 'string-algae') > 1)
        return {
          tasks: [...aid, ...feed, ...light, task('string-algae', 'most')],
          why: 'String algae take what the plants want: out with them, and their nutrients.',
        }
      return { tasks: [...aid, ...feed, ...light], why: 'Nothing that would set the bacteria back this near the date.' }
    },
  },
  temptation: {
    name: 'Feed early, clean late',
    policy: (view) => {
      if (view.week === 0) return { tasks: [task('pump', 'on'), ...feedAt(view, 1)], why: 'They look hungry.' }
      if (view.week === 9) return { tasks: [task('rinse-media', 'tap')], why: 'A last good rinse before the day.' }
      if (view.week === 10) return { tasks: [task('algaecide', 'dose')], why: 'And something against the green.' }
      return { tasks: [], why: 'Other ponds are louder.' }
    },
  },
}
