/** How a finding is come by: seen at a glance, known from the file, or tested on purpose. */
export type FindingKind = 'seen' | 'known' | 'test'

export interface Finding {
  readonly kind: FindingKind
  /** Minutes that finding out takes at the water. */
  readonly minutes: number
  /** How often it is so at a pond somebody asks about, whatever the cause. */
  readonly usual: number
}

const seen = (usual: number, minutes = 1): Finding => ({ kind: 'seen', minutes, usual })
const known = (usual: number): Finding => ({ kind: 'known', minutes: 0, usual })
const test = (usual: number, minutes: number): Finding => ({ kind: 'test', minutes, usual })

/**
 * Everything that can be told about a pond that looks or does wrong. "usual" is how often it is so among ponds that
 * are asked about.
 * @source trade experience, reviewed; a firm's own cases should mend these figures
 */
export const FINDINGS = {
  // the water's look
  'water-green': seen(0.2),
  'water-brown': seen(0.08),
  'water-muddy': seen(0.1),
  'water-milky': seen(0.07),
  'glass-settles': test(0.15, 5),
  'glass-stays-green': test(0.2, 2),
  foam: seen(0.1),
  film: seen(0.1),
  'film-breaks': test(0.05, 1),
  'smell-eggs': seen(0.06),
  // algae and plants
  'string-algae': seen(0.15),
  duckweed: seen(0.06),
  'plants-pale': seen(0.1),
  'pale-in-a-row': seen(0.04),
  'plants-few': known(0.25),
  'plants-rampant': seen(0.07),
  'roots-dry': test(0.06, 10),
  // fish
  'fish-gasp': seen(0.08),
  'gasp-at-dawn': seen(0.05),
  'fish-flash': seen(0.06),
  'fins-clamped': seen(0.07),
  'red-streaks': seen(0.05),
  'raised-scales': seen(0.03),
  'cloudy-skin': seen(0.05),
  'one-fish-only': seen(0.1),
  'fish-hide': seen(0.07),
  'fish-missing': seen(0.04),
  // tests
  'oxygen-low': test(0.07, 3),
  'ammonia-high': test(0.08, 6),
  'nitrite-high': test(0.07, 4),
  'nitrate-low': test(0.2, 5),
  'ph-high': test(0.12, 3),
  'ph-low': test(0.05, 3),
  'kh-low': test(0.1, 4),
  // history and surroundings
  'filter-new': known(0.1),
  'cleaned-lately': known(0.1),
  'outage-lately': known(0.06),
  'filter-small': known(0.2),
  'fish-many': known(0.2),
  'fed-much': known(0.2),
  'leaves-in': seen(0.25),
  'wood-in': seen(0.04),
  'rain-lately': known(0.2),
  'bank-washes-in': seen(0.08),
  'stone-new': known(0.06),
  'fish-dig': seen(0.1),
  'treated-lately': known(0.12),
  'water-cold': known(0.25),
  'hot-days': known(0.2),
  'sludge-deep': test(0.2, 3),
  'lamp-fitted': known(0.4),
  'lamp-old': known(0.12),
  'ioniser-fitted': known(0.12),
  'ioniser-low': test(0.05, 5),
  'bird-seen': seen(0.06),
  // level and flow
  'level-falls': seen(0.12),
  'falls-pump-off': test(0.05, 10),
  'bucket-falls': test(0.1, 5),
  'wet-ground': seen(0.05),
  'flow-less': seen(0.12),
  'basket-full': test(0.12, 5),
  'bed-stands-high': seen(0.05),
  'pump-noisy': seen(0.04),
  'pump-weak': test(0.05, 20),
  'air-in-pipe': seen(0.04),
  'edge-low': test(0.04, 10),
} as const satisfies Record<string, Finding>

export type FindingKey = keyof typeof FINDINGS
export const FINDING_KEYS = Object.keys(FINDINGS) as FindingKey[]

/** What is seen that something is wrong, by where one looks: a diagnosis begins with these. */
export const SIGHTS = {
  water: ['water-green', 'water-brown', 'water-muddy', 'water-milky', 'smell-eggs'],
  surface: ['foam', 'film', 'duckweed'],
  algae: ['string-algae'],
  plants: ['plants-pale', 'plants-rampant'],
  fish: [
    'fish-gasp',
    'fish-flash',
    'fins-clamped',
    'red-streaks',
    'raised-scales',
    'cloudy-skin',
    'fish-hide',
    'fish-missing',
  ],
  level: ['level-falls', 'wet-ground'],
  filter: ['flow-less', 'bed-stands-high', 'pump-noisy', 'air-in-pipe'],
} as const satisfies Record<string, readonly FindingKey[]>
export type SightArea = keyof typeof SIGHTS
export const SIGHT_AREAS = Object.keys(SIGHTS) as SightArea[]
export type Sight = (typeof SIGHTS)[SightArea][number]

/** What has been found out: true, false, or not looked at. */
export type Findings = Readonly<Partial<Record<FindingKey, boolean>>>

/** Seen or tested, but how a pond lies and is kept rather than anything wrong with it. */
const CIRCUMSTANCES: readonly FindingKey[] = [
  'leaves-in',
  'wood-in',
  'bank-washes-in',
  'fish-dig',
  'bird-seen',
  'nitrate-low',
]

/**
 * Whether anything wrong was seen or tested. What is only known of a pond (a small filter, heat, a recent clean) is
 * no complaint.
 */
export const anythingWrong = (findings: Findings): boolean =>
  FINDING_KEYS.some((key) => findings[key] === true && FINDINGS[key].kind !== 'known' && !CIRCUMSTANCES.includes(key))
