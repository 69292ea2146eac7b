/** How a finding is come by: seen at a glance, known from the file, or tested on purpose. */
export type FindingKind = 'seen' | 'known' | 'test'

/** What a finding is to a cause: something that it brings forth, or something that makes it likelier or rarer. */
type FindingRole = 'sign' | 'circumstance'

export interface Finding {
  readonly kind: FindingKind
  readonly role: FindingRole
  /** Minutes that finding out takes at the water. */
  readonly minutes: number
  /**
   * Of a sign: how often it is so with none of the causes at work. Of a circumstance: how often it is so at a pond that
   * somebody asks about.
   */
  readonly usual: number
}

const sign = (usual: number, minutes = 1): Finding => ({ kind: 'seen', role: 'sign', usual, minutes })
const signByTest = (usual: number, minutes: number): Finding => ({ kind: 'test', role: 'sign', usual, minutes })
const around = (usual: number, minutes = 1): Finding => ({ kind: 'seen', role: 'circumstance', usual, minutes })
const known = (usual: number): Finding => ({ kind: 'known', role: 'circumstance', usual, minutes: 0 })

/**
 * Everything that can be told about a pond that looks or does wrong.
 * @source trade experience, reviewed; a firm's own cases should mend these figures
 */
export const FINDINGS = {
  // the water's look
  'water-green': sign(0.03),
  'water-brown': sign(0.02),
  'water-muddy': sign(0.03),
  'water-milky': sign(0.02),
  'algae-turned': sign(0.003),
  'glass-settles': signByTest(0.1, 5),
  'glass-stays-green': signByTest(0.05, 2),
  foam: sign(0.04),
  film: sign(0.04),
  'film-breaks': signByTest(0.05, 1),
  'smell-eggs': sign(0.02),
  // algae and plants
  'string-algae': sign(0.05),
  'scum-blue-green': sign(0.003),
  duckweed: sign(0.03),
  'plants-pale': sign(0.04),
  'pale-in-a-row': sign(0.03),
  'plants-few': known(0.25),
  'plants-rampant': sign(0.04),
  'roots-dry': signByTest(0.04, 10),
  // fish
  'fish-gasp': sign(0.01),
  'gasp-at-dawn': sign(0.02),
  'fish-flash': sign(0.04),
  'fins-clamped': sign(0.03),
  'red-streaks': sign(0.02),
  'raised-scales': sign(0.01),
  'cloudy-skin': sign(0.02),
  'one-fish-only': around(0.1),
  'fish-hide': sign(0.05),
  'fish-missing': sign(0.03),
  // tests
  'oxygen-low': signByTest(0.01, 3),
  'ammonia-high': signByTest(0.005, 6),
  'nitrite-high': signByTest(0.005, 4),
  'nitrate-low': { kind: 'test', role: 'circumstance', usual: 0.2, minutes: 5 },
  'nitrate-high': signByTest(0.005, 5),
  'phosphate-high': signByTest(0.01, 5),
  'ph-high': signByTest(0.05, 3),
  'ph-low': signByTest(0.004, 3),
  'kh-low': signByTest(0.002, 4),
  'gh-low': signByTest(0.001, 4),
  'chlorine-found': signByTest(0.001, 2),
  'salt-high': signByTest(0.0005, 2),
  // history and surroundings
  'filter-new': known(0.1),
  'cleaned-lately': known(0.1),
  'outage-lately': known(0.06),
  unserviced: known(0.12),
  'filled-lately': known(0.12),
  'fish-added': known(0.08),
  'floor-stirred': known(0.05),
  'filter-small': known(0.2),
  'fish-many': known(0.2),
  'fed-much': known(0.2),
  'leaves-in': around(0.25),
  'wood-in': around(0.04),
  'rain-lately': known(0.2),
  'bank-washes-in': around(0.08),
  'stone-new': known(0.06),
  'fish-dig': around(0.1),
  'treated-lately': known(0.12),
  'water-cold': known(0.25),
  'hot-days': known(0.2),
  'sludge-deep': signByTest(0.15, 3),
  'lamp-fitted': known(0.4),
  'lamp-old': known(0.12),
  'ioniser-fitted': known(0.12),
  'ioniser-low': signByTest(0.04, 5),
  'bird-seen': around(0.06),
  // level and flow
  'level-falls': sign(0.04),
  'falls-pump-off': signByTest(0.04, 10),
  'bucket-falls': signByTest(0.05, 5),
  'wet-ground': sign(0.03),
  'flow-less': sign(0.04),
  'basket-full': signByTest(0.06, 5),
  'bed-stands-high': sign(0.03),
  'pump-noisy': sign(0.03),
  'pump-weak': signByTest(0.04, 20),
  'air-in-pipe': sign(0.03),
  'edge-low': signByTest(0.03, 10),
} as const satisfies Record<string, Finding>

export type FindingKey = keyof typeof FINDINGS
export const FINDING_KEYS = Object.keys(FINDINGS) as FindingKey[]
export const findingOf = (key: FindingKey): Finding => FINDINGS[key]

/** What is seen that something is wrong, by where one looks: a diagnosis begins with these. */
export const SIGHTS = {
  water: ['water-green', 'water-brown', 'water-muddy', 'water-milky', 'algae-turned', 'smell-eggs'],
  surface: ['foam', 'film', 'scum-blue-green', 'duckweed'],
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

/**
 * Whether anything wrong was seen or tested. How a pond lies, is stocked and is kept (a small filter, heat, a recent
 * clean) is no complaint.
 */
export const anythingWrong = (findings: Findings): boolean =>
  FINDING_KEYS.some((key) => findings[key] === true && FINDINGS[key].role === 'sign')
