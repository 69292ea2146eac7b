export const plantCare = {
  plantCareSpreaders: {
    title: 'Spreaders cut back from inlets, screens and edges',
    detail:
      'Ground covers off screens and spillways, {clear} clear at skimmer mouths, nothing aggressive beside pipes.',
  },
  plantCareDeadhead: {
    title: 'Deadhead before seed falls; dead leaves out of the water',
    detail:
      'Tall sedges and similar seeders every week in the growing season: at the base, before flowers drop seed. Leave the big-leaved heavy feeders standing.',
    safety: 'Waders only in known depth; a second person at the edge.',
  },
  plantCareFloating: {
    title: 'Thin floating plants to half of the water',
    detail: 'Write down the cover as found.',
  },
  plantCareDivide: {
    title: 'Divide crowded crowns, replant bare patches',
    detail: 'In spring, before growth. Rooted pieces fill gaps; the rest is composted or bagged away from waterways.',
    safety: 'Never release plants outside. Lists of regulated plants are checked before any are taken along.',
  },
  plantCareSeason: {
    title: 'Tender plants in or out, dead growth away, by the season',
    detail:
      'Before the killing frost lifted, labelled, stored frost-free, and where is written down; after it the rest cut back before it rots in the water.',
  },
  plantCareFeed: {
    title: 'Feed lilies and lotus in their baskets',
    detail:
      'Monthly while the water is above {warm}: one or two tablets pushed into the soil of each basket, never loose in the bed.',
  },
  plantCarePale: {
    title: 'How does the bed look?',
    detail:
      'Pale or stunted where the rest is green: water may be running under the roots. Dig a hand deep and look whether they stand wet.',
    green: 'Green and even',
    'pale-wet': 'Pale or stunted, roots wet',
    'pale-dry': 'Pale or stunted, roots dry',
    rampant: 'Rampant',
  },
  plantCareCuttings: {
    title: 'Count what is taken away',
    detail: 'Buckets of {bucket}: cuttings carry nitrogen and phosphorus out of the pond.',
  },
}
