export const rescueSteps = {
  fullTest: {
    title: 'Test first, everything',
    detail: 'Before anything is stirred up.',
  },
  binder: {
    title: 'Ammonia or nitrite binder while they show',
    detail:
      'For the whole system, daily as the label says, until two tests are clean. Fish only ever meet detoxified water.',
    safety: 'Gloves and goggles. The label governs: never more than it allows, never mix products.',
  },
  raiseKh: {
    title: 'Raise KH in steps',
    detail:
      'One or two degrees a day, dissolved beforehand, poured where the water moves. Write down the rise; 0 for none. Test again before leaving.',
    safety: 'Ammonia turns toxic as pH rises: this stop is there for a reason.',
  },
  retest: {
    title: 'Test again before leaving',
  },
}
