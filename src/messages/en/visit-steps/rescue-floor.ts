export const rescueFloor = {
  rescueFloorAir: {
    title: 'Aerator in and running',
    safety: 'RCD/GFCI outlet and drip loop.',
  },
  rescueFloorSiphon: {
    title: 'Siphon the open floor only',
    detail: 'No stones lifted, no media touched. Stop where it stays black.',
    safety: 'Hydrogen sulfide from disturbed sludge: a smell of bad eggs means stop, ventilate, leave.',
    calm: 'No smell, fish calm',
    'rotten-eggs': 'Smell of rotten eggs',
    gasping: 'Fish gasp at the surface',
  },
}
