export const netting = {
  nettingShade: {
    title: 'Shade cloth down, dried and stored',
  },
  nettingCutBack: {
    title: 'Cut back, thin, take away before it rots',
  },
  nettingLift: {
    title: 'Lift tender plants, label, store frost-free',
  },
  nettingLeaves: {
    title: 'Leaves out of the pond and the skimmer',
  },
  nettingBacteria: {
    title: 'Cold-water bacteria',
    detail: 'Where the house rules add any, and below {cold}.',
    safety: 'The label governs the amount.',
  },
  nettingNet: {
    title: 'Net up as a tent: posts, ridge, pins',
    detail: 'Pitch at least 16°, clear of the water under wet leaves, snug at the edges so that no bird gets under it.',
    safety: 'Ladders on firm ground only; no lone work over deep water.',
  },
  nettingHeron: {
    title: 'Heron guards where fish are open to sight',
  },
  nettingNetPhotos: {
    title: 'Photograph the net and its fixings',
  },
  nettingLabel: {
    title: 'Label what is stored, and write down where',
    detail: 'The next crew reads this note in spring.',
  },
  nettingFishFeed: {
    title: 'Tell: low-protein feed now, none in the cold',
    detail: 'None in water below {cold}.',
  },
}
