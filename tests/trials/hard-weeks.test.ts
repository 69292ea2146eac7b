import { complaints, type HardWeeks } from './hard-weeks'

/**
 * The trial itself runs on 480 ponds in `npm test -- checks`, where heavy computation is as fast as for users; here
 * it is seen that it can fail.
 */
const DRY = { displaced: 23, moved: 30, told: 12, unplaced: 0, faults: [], seconds: 3 }
const GOOD: HardWeeks = {
  first: { visits: 4000, unplaced: 3, faults: [] },
  second: { moved: [], lost: 0 },
  rain: DRY,
  flood: DRY,
  emergency: { lateMin: 0, order: 0, beforeNow: 0, movedLater: 1, faults: [] },
  torn: [],
}

describe('the trial of the weirdest weeks', () => {
  it('has nothing to say of good ones', () => expect(complaints(GOOD, 20)).toEqual([]))
  it.each<[string, Partial<HardWeeks>]>([
    ['a fault of the first plan', { first: { ...GOOD.first, faults: ['home late'] } }],
    ['a move with nothing changed', { second: { moved: ['a'], lost: 0 } }],
    ['a visit that fell out', { second: { moved: [], lost: 1 } }],
    ['more moves than rain asks for', { rain: { ...DRY, moved: 35 } }],
    ['too many to be told', { rain: { ...DRY, told: 31 } }],
    ['a replan that takes too long', { flood: { ...DRY, seconds: 21 } }],
    ['a torn cleanout', { torn: ['second:3 alone'] }],
    ['an emergency that waits', { emergency: { ...GOOD.emergency, lateMin: 5 } }],
    ['work before now', { emergency: { ...GOOD.emergency, beforeNow: 1 } }],
  ])('says so of %s', (_, over) => expect(complaints({ ...GOOD, ...over }, 20)).toHaveLength(1))
})
