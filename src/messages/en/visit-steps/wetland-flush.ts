export const wetlandFlush = {
  wetlandFlushSludgeBefore: {
    title: 'Measure the sludge in the vault',
    safety: 'Deep vaults and tanks are confined spaces: no entry. Cover or guard the open vault.',
  },
  wetlandFlushVault: {
    title: 'Lower the pump into the vault, stir from the far end toward it',
    detail: 'Or open the bottom valve.',
    safety:
      'Nobody goes into the vault; guard it while it is open. A smell of bad eggs: stop, ventilate, leave. Hydrogen sulfide numbs the nose before it harms.',
    calm: 'No smell, fish calm',
    'rotten-eggs': 'Smell of rotten eggs',
    gasping: 'Fish gasp at the surface',
  },
  wetlandFlushPump: {
    title: 'Pump to planting beds, rinse, repeat until it runs clear',
    detail:
      'The bed must not stand empty for more than an hour: that is what this timer is for. Rinse with pond water, never with chlorinated water.',
    safety: 'Not to storm drains or streams unless the local rules allow it.',
  },
  wetlandFlushColour: {
    title: 'Colour of the sludge',
    brown: 'Brown, earthy',
    dark: 'Dark, peaty',
    black: 'Black, smelling',
  },
  wetlandFlushCheck: {
    title: 'Distribution even, breather open, no roots in the pipe, top gravel level',
    detail: 'Water shows everywhere at the surface at the same time.',
  },
  wetlandFlushRestart: {
    title: 'Pump on, bed full, flow over every edge',
    safety: 'Power back on only when everyone is out of the water.',
  },
}
