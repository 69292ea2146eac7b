import type { TrainerScenario } from '../scenario'
import { done, feedAt, firstAid, heatwave, NO_LAMP, powerCut, sees, task, TRAINING_POND, weeksSince } from './parts'

const WEEKS = 22
const CYCLING_WEEKS = 12

/** A bed without bacteria, fish that came too early, and a customer who likes to feed. */
export const firstSeason: TrainerScenario = {
  key: 'first-season',
  startsOn: '04-25',
  weeks: WEEKS,
  minutesPerWeek: 120,
  pond: {
    ...TRAINING_POND,
    shade: 0.05,
    filter: { ...TRAINING_POND.filter, stoneM3: 1.4, areaM2: 2.8, flowM3PerH: 5, uvFlowM3PerH: 5 },
    fish: { ...TRAINING_POND.fish, massKg: 12, feedFromC: 8 },
  },
  fish: 12,
  start: 'new',
  handedOver: [NO_LAMP],
  surprises: [
    {
      key: 'gift',
      chance: 0.6,
      weeks: [5, 10],
      told: 'myBrotherMovedHouse',
      deeds: [{ kind: 'fish', massKg: 3, day: 3 }],
    },
    {
      key: 'feeding',
      chance: 0.6,
      weeks: [3, 12],
      told: 'neighboursBoyFedWhile',
      deeds: [
        { kind: 'feed', factor: 3, day: 1 },
        { kind: 'feed', factor: 1, day: 6 },
      ],
    },
    heatwave('heat', 0.7, [9, 15], 8, 6),
    powerCut(0.4, [8, 16]),
  ],
  weights: { fish: 40, safe: 20, clear: 10, fed: 25, thrift: 5 },
  house: {
    policy: (view, test, past) => {
      const aid = firstAid(view)
      if (view.week === 0)
        return {
          tasks: [...aid, task('bacteria', 'media'), ...feedAt(view, 0.5), task('feed-kind', 'light')],
          why: 'nothingLivesBedYet',
        }
      if (
        view.week > CYCLING_WEEKS &&
        !sees(view, 'fish-uneasy', 'fish-gasping', 'fish-at-falls', 'fish-dead') &&
        view.told.length === 0
      )
        return {
          tasks: [
            ...aid,
            ...feedAt(view, 1),
            ...(sees(view, 'string-algae-much') ? [task('string-algae', 'most')] : []),
          ],
          why: 'bedCarriesPondNow',
        }
      const [tan, nitrite] = [test('tan'), test('nitrite')]
      const worst = Math.max(tan / 1, nitrite / 0.5)
      if (worst >= 1)
        return {
          tasks: [
            ...aid,
            ...feedAt(view, worst >= 2 ? 0 : 0.5),
            task('water-change', 'third'),
            ...(nitrite >= 1 && !done(past, 'salt') ? [task('salt', 'tenth')] : []),
          ],
          why: 'ammoniaNitritePastLine',
        }
      return {
        tasks: [
          ...aid,
          ...feedAt(view, tan <= 0.5 && nitrite <= 0.25 && view.week > 2 ? 1 : 0.5),
          ...(sees(view, 'string-algae-much') && weeksSince(past, 'string-algae') > 2
            ? [task('string-algae', 'most')]
            : []),
        ],
        why: 'testsSayHowMuch',
      }
    },
  },
  temptation: {
    policy: (view) => ({
      tasks: [
        ...firstAid(view),
        ...feedAt(view, 1),
        ...(view.week % 4 === 3 ? [task('rinse-media', 'tap')] : []),
        ...(view.week % 4 === 1 ? [task('water-change', 'third-tap')] : []),
      ],
      why: 'cleanPondHealthyPond',
    }),
  },
}
