export const springStartup = {
  springStartupWinterGear: {
    title: 'Net and de-icer off, debris netted out',
    detail: 'Dry, bag, label, store where agreed.',
  },
  springStartupPrime: {
    title: 'Caps off pipe ends, plumbing back, pump primed',
    detail: 'Union seals looked at; the breather open.',
  },
  springStartupLamp: {
    title: 'Is the lamp due?',
    safety: 'Isolate before opening the housing; a burning UV lamp harms eyes and skin.',
    renewed: 'Renewed today, date logged',
    'not-due': 'Not yet due',
    'no-lamp': 'No lamp here',
  },
  springStartupLeaks: {
    title: 'Pump on: leaks, levels of the boxes, flow over every edge',
    detail: 'Falls lip slightly forward; gaps foamed so that water runs over and not around.',
    safety: 'Power back on only when everyone is out of the water.',
  },
  springStartupPlants: {
    title: 'Plants cut back, divided and fed',
    detail: 'Before growth; tablets into baskets, never loose in the bed.',
  },
  springStartupLights: {
    title: 'Lights cleaned, aimed, replaced; warranty noted',
  },
}
