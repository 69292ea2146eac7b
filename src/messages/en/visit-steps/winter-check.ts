export const winterCheck = {
  winterCheckHole: {
    title: 'Is the hole in the ice open, the aerator on?',
    safety: 'Never walk on the ice, never break it with blows; never work alone beside it.',
    open: 'Yes',
    opened: 'No: opened with warm water',
    'no-ice': 'No ice',
  },
  winterCheckLevel: {
    title: 'Level, and what it lost',
  },
  winterCheckDams: {
    title: 'Ice dams on running falls?',
    detail: 'Water that runs over an edge empties the pond in a night.',
    none: 'None',
    cleared: 'Cleared',
    'pump-off': 'Pump switched off',
    'falls-off': 'Falls do not run',
  },
  winterCheckSnow: {
    title: 'Snow off a part of the ice, so that light comes in',
  },
  winterCheckNetLoad: {
    title: 'Net load: leaves and snow off, fixings tight',
  },
  winterCheckPower: {
    title: 'Power to de-icer and aerator',
    safety: 'A tripped RCD/GFCI is a fault: find it before switching on again.',
  },
}
