export const rescueRocks = {
  rescueRocksAir: {
    title: 'Aerator running before a stone is moved',
  },
  rescueRocksSection: {
    title: 'One section: lift, siphon, reset',
    detail: 'A few square metres, no more. The next section is another visit.',
    safety: 'Two people or a machine for stones above {heavy}. A smell of bad eggs: stop, ventilate, leave.',
    calm: 'No smell, fish calm',
    'rotten-eggs': 'Smell of rotten eggs',
    gasping: 'Fish gasp at the surface',
  },
}
