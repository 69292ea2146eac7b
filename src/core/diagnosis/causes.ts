import type { FindingKey } from './findings'

/** Steps of a remedy that the app can plan or dose. */
export interface Remedy {
  readonly text: string
  /** Visit type that does it. */
  readonly jobKey?: string
  /** Days after the diagnosis. */
  readonly afterDays: number
  /** What is given with it, worked out for the pond by the firm's own products. */
  readonly dose?: RemedyDose
}

export const REMEDY_DOSES = ['bacteria', 'flocculant', 'salt'] as const
export type RemedyDose = (typeof REMEDY_DOSES)[number]

export interface Cause {
  readonly name: string
  /** How often it is behind a call, relative to the others. */
  readonly weight: number
  /** How often each finding is so when this is the cause; what is not named is as usual. */
  readonly shows: Readonly<Partial<Record<FindingKey, number>>>
  readonly remedies: readonly Remedy[]
  /** Days until it should look better: soonest, latest; null: it does not by itself. */
  readonly betterDays: readonly [number, number] | null
  /** Who else must look. */
  readonly specialist?: 'vet' | 'electrician'
  /** Said first, where something can die or hurt. */
  readonly urgent?: string
}

const step = (text: string, afterDays = 0, jobKey?: string): Remedy => ({
  text,
  afterDays,
  ...(jobKey ? { jobKey } : {}),
})
const dosed = (dose: RemedyDose, remedy: Remedy): Remedy => ({ ...remedy, dose })
const GREEN = { 'water-green': 0.97, 'glass-stays-green': 0.97, 'water-muddy': 0.05, 'glass-settles': 0.05 } as const
const FISH_CALM = { 'fish-gasp': 0.03 } as const

/**
 * Causes of what goes wrong at ponds, with what each shows, what helps and how long it takes.
 * @source trade experience as reviewed for this product; timelines are the house defaults
 */
export const CAUSES = {
  'green-filter-small': {
    name: 'Green water: the filter is too small for what feeds the algae',
    weight: 3,
    shows: { ...GREEN, 'filter-small': 0.95, 'filter-new': 0.04, 'cleaned-lately': 0.04, 'fish-many': 0.45 },
    remedies: [
      step('Size a filter that carries the pond; UV as a crutch until it stands', 0),
      step('Flush the bed', 3, 'wetland-flush'),
      step('Look and test again', 14, 'routine'),
    ],
    betterDays: [7, 21],
  },
  'green-filter-young': {
    name: 'Green water: the filter is new and has not matured',
    weight: 2.5,
    shows: { ...GREEN, 'filter-new': 0.96, 'filter-small': 0.1, 'cleaned-lately': 0.1 },
    remedies: [
      step('Wait; feed little; seed with mature media', 0, 'routine'),
      step('Look and test again', 21, 'routine'),
    ],
    betterDays: [21, 70],
  },
  'green-cleaned': {
    name: 'Green water: cleaned too well, the bacteria are gone',
    weight: 2,
    shows: { ...GREEN, 'cleaned-lately': 0.96, 'filter-new': 0.04, 'filter-small': 0.12, 'water-milky': 0.1 },
    remedies: [
      dosed('bacteria', step('Seed bacteria, feed little, clean nothing more', 0, 'routine')),
      step('Test ammonia and nitrite', 7, 'routine'),
    ],
    betterDays: [21, 42],
  },
  'green-overfed': {
    name: 'Green water: too much feed or too many fish',
    weight: 2.5,
    shows: {
      ...GREEN,
      'fed-much': 0.9,
      'fish-many': 0.8,
      'filter-small': 0.12,
      'filter-new': 0.04,
      'cleaned-lately': 0.04,
    },
    remedies: [
      step('Halve the feed; find homes for fish beyond what the system carries', 0),
      step('Change a quarter of the water', 1, 'routine'),
      step('Look and test again', 14, 'routine'),
    ],
    betterDays: [14, 42],
  },
  'green-few-plants': {
    name: 'Green water: too few plants to compete with the algae',
    weight: 1.5,
    shows: {
      ...GREEN,
      'plants-few': 0.97,
      'fed-much': 0.06,
      'fish-many': 0.08,
      'filter-small': 0.1,
      'filter-new': 0.04,
      'cleaned-lately': 0.04,
    },
    remedies: [
      step('Plant bed and edges; floating plants over a third of the surface', 2, 'plant-care'),
      step('Look again', 28, 'routine'),
    ],
    betterDays: [21, 60],
  },
  'lamp-aged': {
    name: 'Green water: the UV lamp is past its hours',
    weight: 1.5,
    shows: {
      ...GREEN,
      'lamp-fitted': 0.99,
      'lamp-old': 0.96,
      'filter-small': 0.2,
      'filter-new': 0.05,
      'cleaned-lately': 0.05,
    },
    remedies: [
      step('New lamp and clean sleeve, isolated and proved dead', 1, 'routine'),
      step('Look again', 7, 'routine'),
    ],
    betterDays: [3, 10],
    specialist: 'electrician',
  },
  'string-algae': {
    name: 'String algae: clear bright water with nutrients to spare',
    weight: 3,
    shows: { 'string-algae': 0.97, 'water-green': 0.08, 'plants-few': 0.4, 'leaves-in': 0.3, 'ioniser-low': 0.08 },
    remedies: [
      step('Pull it where it hides the look or blocks flow; leave it on spillways', 1, 'routine'),
      step('Shade, plants and less feed; nets in autumn', 14, 'plant-care'),
    ],
    betterDays: [30, 120],
  },
  'ioniser-worn': {
    name: 'String algae: the ioniser’s probe is worn or furred',
    weight: 1,
    shows: { 'string-algae': 0.95, 'ioniser-fitted': 0.99, 'ioniser-low': 0.95, 'water-green': 0.08 },
    remedies: [
      step('Clean or change the probe; set it by the copper of the water and the fish that are in it', 1, 'routine'),
    ],
    betterDays: [10, 30],
  },
  tannin: {
    name: 'Brown-tinted water: leaves or wood',
    weight: 2,
    shows: {
      'water-brown': 0.97,
      'leaves-in': 0.85,
      'wood-in': 0.35,
      'glass-settles': 0.03,
      'glass-stays-green': 0.03,
      'water-muddy': 0.04,
    },
    remedies: [
      step('Leaves out, net on; activated carbon until it is full', 2, 'routine'),
      step('Or leave it: it harms nothing'),
    ],
    betterDays: [7, 30],
  },
  'brown-overfed': {
    name: 'Brown-tinted water: too much feed',
    weight: 0.8,
    shows: {
      'water-brown': 0.95,
      'fed-much': 0.93,
      'leaves-in': 0.08,
      'wood-in': 0.02,
      foam: 0.4,
      'glass-settles': 0.05,
    },
    remedies: [step('Feed less; change a quarter of the water', 1, 'routine')],
    betterDays: [7, 30],
  },
  'mud-fish': {
    name: 'Muddy water: fish dig the floor up',
    weight: 1.2,
    shows: {
      'water-muddy': 0.96,
      'fish-dig': 0.95,
      'glass-settles': 0.9,
      'rain-lately': 0.15,
      'stone-new': 0.03,
      'bank-washes-in': 0.04,
    },
    remedies: [
      step('Cover soil and loose floor with stone', 3, 'routine'),
      dosed('flocculant', step('A bog does not clear mud: flocculant if it must be quick', 1, 'routine')),
    ],
    betterDays: [2, 7],
  },
  'mud-runoff': {
    name: 'Muddy water: soil washes in',
    weight: 1.2,
    shows: {
      'water-muddy': 0.96,
      'rain-lately': 0.93,
      'bank-washes-in': 0.85,
      'glass-settles': 0.9,
      'fish-dig': 0.08,
      'stone-new': 0.04,
    },
    remedies: [
      step('Raise the edge, lead water away from it', 3),
      dosed('flocculant', step('Flocculant, once, by its label', 1, 'routine')),
    ],
    betterDays: [1, 4],
  },
  'mud-stone': {
    name: 'Muddy water: dust of new stone',
    weight: 1,
    shows: {
      'water-muddy': 0.85,
      'water-milky': 0.2,
      'stone-new': 0.97,
      'glass-settles': 0.9,
      'fish-dig': 0.05,
      'rain-lately': 0.15,
    },
    remedies: [dosed('flocculant', step('Let it settle for two days; flocculant if it does not', 2, 'routine'))],
    betterDays: [1, 4],
  },
  'milky-bloom': {
    name: 'Milky water: a bloom of bacteria after a treatment or a clean',
    weight: 1.3,
    shows: {
      'water-milky': 0.95,
      'treated-lately': 0.8,
      'cleaned-lately': 0.35,
      'glass-settles': 0.06,
      'water-muddy': 0.05,
    },
    remedies: [
      step('Air on, feed nothing for some days, dose nothing more', 0),
      step('Test oxygen and ammonia', 1, 'routine'),
    ],
    betterDays: [2, 7],
    urgent: 'A bloom uses oxygen: put air on now.',
  },
  'foam-protein': {
    name: 'Foam: protein of feed, spawn or dead matter',
    weight: 1.2,
    shows: { foam: 0.97, 'fed-much': 0.6, 'fish-many': 0.5, 'water-green': 0.15 },
    remedies: [step('Feed less; change a quarter of the water; look for anything dead', 1, 'routine')],
    betterDays: [2, 10],
  },
  'film-bacterial': {
    name: 'Film: bacteria and pollen on still water',
    weight: 1,
    shows: { film: 0.97, 'film-breaks': 0.95, 'flow-less': 0.3 },
    remedies: [step('Skimmer and surface flow', 1, 'routine')],
    betterDays: [1, 7],
  },
  'film-oil': {
    name: 'Film: oil of a machine, pump or spray',
    weight: 0.5,
    shows: { film: 0.97, 'film-breaks': 0.04, 'pump-noisy': 0.2 },
    remedies: [step('Absorbent sheets, find the source; look at the pump’s seal', 0, 'routine')],
    betterDays: [1, 5],
    urgent: 'Keep people and pets out until it is known what it is.',
  },
  duckweed: {
    name: 'Duckweed: nutrients and still water',
    weight: 0.9,
    shows: { duckweed: 0.98, 'fed-much': 0.3, 'leaves-in': 0.35 },
    remedies: [step('Take it off with a net again and again; compost it', 2, 'routine'), step('More surface flow', 2)],
    betterDays: [14, 60],
  },
  'plants-bypassed': {
    name: 'Pale plants: the flow passes under their roots',
    weight: 1.2,
    shows: { 'plants-pale': 0.96, 'pale-in-a-row': 0.7, 'roots-dry': 0.85, 'nitrate-low': 0.15, 'water-cold': 0.1 },
    remedies: [step('Raise the water or split the flow so that roots stand in it', 3, 'plant-care')],
    betterDays: [21, 60],
  },
  'plants-hungry': {
    name: 'Pale plants: water poor in nutrients',
    weight: 1,
    shows: {
      'plants-pale': 0.96,
      'nitrate-low': 0.95,
      'pale-in-a-row': 0.05,
      'roots-dry': 0.04,
      'fish-many': 0.03,
      'water-cold': 0.1,
    },
    remedies: [
      step('Tablets in the soil of lilies; otherwise accept it: it is what a good filter does', 2, 'plant-care'),
    ],
    betterDays: [14, 45],
  },
  'plants-cold': {
    name: 'Pale plants: it is too cold for them yet',
    weight: 0.9,
    shows: { 'plants-pale': 0.93, 'water-cold': 0.97, 'roots-dry': 0.05, 'pale-in-a-row': 0.04, 'nitrate-low': 0.15 },
    remedies: [step('Wait for 15 °C', 14)],
    betterDays: [14, 45],
  },
  'plants-ph': {
    name: 'Pale plants: the water is too alkaline for their iron',
    weight: 0.5,
    shows: {
      'plants-pale': 0.95,
      'ph-high': 0.95,
      'roots-dry': 0.05,
      'pale-in-a-row': 0.05,
      'nitrate-low': 0.12,
      'water-cold': 0.08,
    },
    remedies: [step('Chelated iron in the soil; less algae by day', 2, 'plant-care')],
    betterDays: [14, 45],
  },
  'plants-rampant': {
    name: 'Plants have outgrown their place',
    weight: 1.1,
    shows: { 'plants-rampant': 0.97, 'flow-less': 0.4, 'basket-full': 0.1 },
    remedies: [step('Pull back from screens, lips and the skimmer’s mouth', 2, 'plant-care')],
    betterDays: [0, 1],
  },
  'low-oxygen': {
    name: 'Gasping fish: too little oxygen',
    weight: 1.6,
    shows: {
      'fish-gasp': 0.92,
      'gasp-at-dawn': 0.75,
      'oxygen-low': 0.95,
      'hot-days': 0.7,
      'water-green': 0.35,
      'nitrite-high': 0.06,
      'ammonia-high': 0.08,
      'smell-eggs': 0.04,
      'cloudy-skin': 0.03,
    },
    remedies: [step('Air on and falls running day and night; no feed', 0), step('Test at dawn', 1, 'routine')],
    betterDays: [0, 2],
    urgent: 'Air on now; no feed; no algae treatment.',
  },
  'nitrite-poisoning': {
    name: 'Gasping or limp fish: nitrite',
    weight: 1,
    shows: {
      'fish-gasp': 0.8,
      'gasp-at-dawn': 0.1,
      'nitrite-high': 0.97,
      'oxygen-low': 0.08,
      'filter-new': 0.4,
      'cleaned-lately': 0.4,
      'outage-lately': 0.25,
    },
    remedies: [
      dosed('salt', step('Change up to a third of the water; salt where plants stand it; no feed', 0, 'routine')),
      step('Test every second day', 2, 'routine'),
    ],
    betterDays: [1, 21],
    urgent: 'No feed; change water in thirds, a day apart.',
  },
  'ammonia-poisoning': {
    name: 'Sick fish: ammonia',
    weight: 1,
    shows: {
      'fish-gasp': 0.55,
      'gasp-at-dawn': 0.08,
      'fins-clamped': 0.6,
      'fish-flash': 0.4,
      'red-streaks': 0.35,
      'ammonia-high': 0.97,
      'oxygen-low': 0.08,
      'filter-new': 0.35,
      'cleaned-lately': 0.4,
      'outage-lately': 0.3,
      'one-fish-only': 0.02,
    },
    remedies: [
      dosed('bacteria', step('Change up to a third of the water; no feed; bacteria', 0, 'routine')),
      step('Test every day', 1, 'routine'),
    ],
    betterDays: [1, 42],
    urgent: 'No feed; raise no pH or KH before ammonia is down.',
  },
  'hydrogen-sulfide': {
    name: 'Rotten sludge: hydrogen sulfide',
    weight: 0.7,
    shows: { 'smell-eggs': 0.96, 'sludge-deep': 0.95, 'fish-gasp': 0.4, 'leaves-in': 0.6, 'oxygen-low': 0.3 },
    remedies: [
      step('Leave the floor alone; air on; ventilate vaults, no entry', 0),
      step('A section at a time, in stages', 3, 'rescue-floor'),
    ],
    betterDays: [7, 60],
    urgent: 'Do not stir the floor. Stay out of vaults: the gas kills.',
  },
  'gill-disease': {
    name: 'Gasping fish with good water: gills',
    weight: 0.6,
    shows: {
      'fish-gasp': 0.85,
      'gasp-at-dawn': 0.08,
      'oxygen-low': 0.03,
      'nitrite-high': 0.03,
      'ammonia-high': 0.03,
      'fish-flash': 0.6,
      'cloudy-skin': 0.35,
    },
    remedies: [step('A vet or fish-health specialist looks at a gill scrape', 0)],
    betterDays: null,
    specialist: 'vet',
  },
  infection: {
    name: 'Wounds, raised scales or cloudy skin: infection or parasites',
    weight: 0.9,
    shows: {
      'raised-scales': 0.5,
      'cloudy-skin': 0.6,
      'red-streaks': 0.6,
      'fins-clamped': 0.6,
      'one-fish-only': 0.5,
      'fish-flash': 0.5,
      'ammonia-high': 0.06,
      'nitrite-high': 0.05,
      'fish-gasp': 0.06,
    },
    remedies: [step('A vet or fish-health specialist; keep the water good, salt only as they say', 0)],
    betterDays: null,
    specialist: 'vet',
  },
  heron: {
    name: 'Hiding or missing fish: a heron or another hunter',
    weight: 0.9,
    shows: {
      'fish-hide': 0.92,
      'fish-missing': 0.75,
      'bird-seen': 0.6,
      'ammonia-high': 0.05,
      'oxygen-low': 0.04,
      ...FISH_CALM,
    },
    remedies: [step('Net or lines for some weeks; hiding places deeper than 0.6 m', 1, 'routine')],
    betterDays: [7, 28],
  },
  evaporation: {
    name: 'Falling level: evaporation',
    weight: 1.4,
    shows: { 'level-falls': 0.85, 'bucket-falls': 0.95, 'falls-pump-off': 0.35, 'hot-days': 0.85, 'wet-ground': 0.02 },
    remedies: [step('Top up, dechlorinated; nothing is broken', 0)],
    betterDays: [0, 1],
  },
  'leak-shell': {
    name: 'Falling level: the liner or shell leaks',
    weight: 1,
    shows: { 'level-falls': 0.97, 'falls-pump-off': 0.95, 'bucket-falls': 0.04, 'wet-ground': 0.15, 'hot-days': 0.2 },
    remedies: [step('Let it fall until it stops, mark the line, look along it', 2, 'routine')],
    betterDays: null,
  },
  'leak-moving-water': {
    name: 'Falling level: falls, stream or bed lose water',
    weight: 1.4,
    shows: {
      'level-falls': 0.97,
      'falls-pump-off': 0.04,
      'bucket-falls': 0.05,
      'wet-ground': 0.75,
      'edge-low': 0.3,
      'hot-days': 0.2,
    },
    remedies: [step('Walk falls and stream edge by edge; lift liner and stones where the ground is wet', 2, 'routine')],
    betterDays: [0, 2],
  },
  'falls-wrong-way': {
    name: 'Falls wet the wrong way: an edge has sunk',
    weight: 0.6,
    shows: { 'wet-ground': 0.9, 'edge-low': 0.95, 'level-falls': 0.5, 'falls-pump-off': 0.03, 'bucket-falls': 0.08 },
    remedies: [step('Raise the edge, bed the lip anew', 3, 'routine')],
    betterDays: [0, 2],
  },
  'basket-full': {
    name: 'Less flow: basket, skimmer or strainer full',
    weight: 2,
    shows: {
      'flow-less': 0.97,
      'basket-full': 0.95,
      'leaves-in': 0.5,
      'bed-stands-high': 0.04,
      'pump-weak': 0.05,
      'pump-noisy': 0.1,
    },
    remedies: [step('Empty it; weekly while leaves fall', 0, 'routine')],
    betterDays: [0, 1],
  },
  'pump-worn': {
    name: 'Less flow: the pump is worn or its impeller fouled',
    weight: 1,
    shows: { 'flow-less': 0.97, 'pump-weak': 0.95, 'pump-noisy': 0.6, 'basket-full': 0.06, 'bed-stands-high': 0.03 },
    remedies: [step('Isolate and prove dead; clean the impeller; another pump if it stays weak', 1, 'routine')],
    betterDays: [0, 2],
    specialist: 'electrician',
  },
  'bed-clogged': {
    name: 'Less flow: the bed is clogged',
    weight: 1.2,
    shows: { 'flow-less': 0.93, 'bed-stands-high': 0.93, 'basket-full': 0.06, 'pump-weak': 0.04, 'sludge-deep': 0.4 },
    remedies: [step('Flush the bed until it runs light', 2, 'wetland-flush')],
    betterDays: [0, 2],
  },
  'air-lock': {
    name: 'Less flow: air in the pipe',
    weight: 0.7,
    shows: {
      'flow-less': 0.95,
      'air-in-pipe': 0.93,
      'pump-noisy': 0.5,
      'basket-full': 0.06,
      'bed-stands-high': 0.03,
      'level-falls': 0.3,
    },
    remedies: [step('Fill up to the skimmer’s line; bleed the highest bend', 0, 'routine')],
    betterDays: [0, 1],
  },
  'ammonia-overload': {
    name: 'Ammonia or nitrite without a recent cleaning: more goes in than the bacteria turn over',
    weight: 0.8,
    shows: {
      'ammonia-high': 0.8,
      'nitrite-high': 0.55,
      'fed-much': 0.6,
      'fish-many': 0.6,
      'filter-small': 0.45,
      'filter-new': 0.04,
      'cleaned-lately': 0.03,
      'outage-lately': 0.03,
      'fish-gasp': 0.15,
      'fins-clamped': 0.2,
    },
    remedies: [
      step(
        'No feed until ammonia and nitrite are down; change water by the tests; look for a dead fish, a dying plant or a stirred floor',
        0,
        'routine',
      ),
      step('Test every day', 1, 'routine'),
      step('Halve the feed; find homes for fish beyond what the system carries; size the filter for what stays', 7),
    ],
    betterDays: [2, 21],
    urgent: 'No feed; raise no pH or KH before ammonia is down.',
  },
  'ph-crash': {
    name: 'KH is used up: the pH slides or has crashed',
    weight: 0.7,
    shows: {
      'kh-low': 0.96,
      'ph-low': 0.55,
      'ph-high': 0.12,
      'rain-lately': 0.35,
      'sludge-deep': 0.35,
      'fins-clamped': 0.3,
      'fish-gasp': 0.15,
      'gasp-at-dawn': 0.03,
      'oxygen-low': 0.06,
    },
    remedies: [
      step('Test KH, pH, temperature and ammonia together, and the tap’s KH and pH', 0, 'routine'),
      step(
        'Raise KH by 1 to 2 °dH a day at most, and only as the water gate allows with the ammonia that is there',
        0,
        'routine',
      ),
      step('Test every day until KH has stood for three', 1, 'routine'),
    ],
    betterDays: [1, 7],
    urgent:
      'No feed. No large change and no KH rise while ammonia is high: as the pH comes up, harmless ammonium turns toxic.',
  },
  'settling-in': {
    name: 'Ammonia or nitrite while bacteria come back',
    weight: 0.8,
    shows: {
      'ammonia-high': 0.7,
      'nitrite-high': 0.6,
      'filter-new': 0.45,
      'cleaned-lately': 0.45,
      'outage-lately': 0.45,
      'fish-gasp': 0.08,
      'fins-clamped': 0.12,
      'water-green': 0.15,
    },
    remedies: [
      dosed('bacteria', step('Feed little; seed bacteria; change water by the tests', 0, 'routine')),
      step('Test every third day', 3, 'routine'),
    ],
    betterDays: [21, 42],
  },
} as const satisfies Record<string, Cause>

export type CauseKey = keyof typeof CAUSES
export const CAUSE_KEYS = Object.keys(CAUSES) as CauseKey[]
export const causeOf = (key: CauseKey): Cause => CAUSES[key]
