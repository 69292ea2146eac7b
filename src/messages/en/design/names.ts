/** What the codes of a filter design are called. */
export const names = {
  methodNames: {
    volume: 'By volume',
    surface: 'By surface',
    nitrogen: 'By nitrogen and oxygen',
    closedLoop: 'Recirculating model',
  },
  methodArguments: {
    volume:
      'Gross bed volume as a share of the pond’s water, by use, with six bed volumes an hour. Quick and widely used. Says nothing about the fish.',
    surface:
      'Bed area as a share of the pond’s surface, less for large ponds. Easy to explain on site. Ignores depth and stock.',
    nitrogen:
      'Stone surface and oxygen for the ammonia that grown fish give off in the worst month. Follows the fish. Says little where there are hardly any.',
    closedLoop:
      'The smallest bed that keeps the pond at its target level as the water recirculates. Follows the flow, which must really be delivered.',
  },
  filterTypeNames: {
    'container-bog': 'Container bog',
    'lined-wetland': 'Lined upflow wetland',
    'raised-trough': 'Raised trough wetland',
    'horizontal-bed': 'Horizontal gravel bed',
    'perimeter-bog': 'Perimeter bog',
    'surface-wetland': 'Surface wetland or planted stream',
    none: 'No filter',
  },
  filterTypeWhen: {
    'container-bog':
      'Barrels, tubs or tanks with graded stone, an inlet at the bottom and a bottom drain. For ponds up to about 10 m³.',
    'lined-wetland': 'A dug, lined bed over a sediment chamber with a cleanout vault. For most client ponds.',
    'raised-trough': 'Framed walls where nothing can be dug: courts, indoors, slabs. The pipe is pitched to the vault.',
    'horizontal-bed':
      'Water runs along a shallow planter. Its depth must match the roots; headers are slotted over their full height.',
    'perimeter-bog':
      'A planted shelf around the edge, fed by a perforated loop under the gravel and returning over the stone ring.',
    'surface-wetland': 'A shallow planted channel for polishing and wildlife.',
    none: 'Tub, patio or wildlife pond: plants and surfaces are enough for few fish or none.',
  },
  feedNames: {
    'slotted-pipe': 'Slotted pipe under the bed',
    chamber: 'Sediment chamber (void modules)',
    'bottom-header': 'Headers on the floor only',
    'full-height-header': 'Headers slotted over the full height',
  },
  standNames: { ground: 'Open ground', 'near-building': 'Beside a building', 'slab-or-roof': 'A slab or roof' },
  demandNames: {
    sizingMethod: 'by the sizing method',
    oxygen: 'for oxygen',
    turnover: 'for turnover',
    falls: 'for the falls',
    skimmer: 'for the skimmers',
  },
  lookNames: {
    dry: 'no sheet',
    trickle: 'a broken trickle',
    curtain: 'an even curtain',
    full: 'a full sheet',
    torrent: 'a torrent',
  },
  sensitivityNames: {
    'fish-count': 'Number of fish',
    'growth-years': 'Years of growth',
    volume: 'Pond volume',
    surface: 'Pond surface',
    protein: 'Protein of the feed',
    'stone-size': 'Stone size',
    target: 'Ammonia target',
    'water-temperature': 'Water temperature',
  },
  branchNames: { bed: 'Bed', bypass: 'Bypass', stream: 'Stream', 'trickle-tower': 'Trickle tower', heater: 'Heater' },
  intakeNames: { 'bottom-drain': 'Bottom drain', 'mid-water': 'Mid-water intake', skimmer: 'Skimmer' },
  roleOfPlant: {
    heavy: 'Heavy feeder',
    marginal: 'Marginal',
    cover: 'Ground cover',
    edge: 'Moist edge',
    floating: 'Floating',
    oxygenator: 'Oxygenator',
    lily: 'Lily or lotus',
  },
  plantingWords: {
    'too-deep': 'the water above the gravel is too deep for it',
    'too-dry': 'it is too dry here',
    'not-hardy': 'it does not survive the winter here',
    'clogs-feed': 'its roots clog gravel and slots: keep it away from the distribution pipe',
    'aggressive-near-lip': 'it spreads: keep it away from lip, spillway and screen',
    regulated: 'regulated somewhere: check your state or national list',
    'lily-no-filter': 'for shade and looks; it traps sludge and does not filter',
    'tall-in-front': 'tall plants belong behind low ones',
    'outside-bed': 'it is outside the bed',
  },
  serviceWords: {
    cleanout: 'a cleanout vault or drain',
    'wide-enough': 'a vault wide enough for the sump pump',
    pitched: 'a pitched pipe',
    'low-point': 'the vault at the low point',
    valve: 'a valve within reach',
    discharge: 'planting within reach for the discharge',
  },
} as const
