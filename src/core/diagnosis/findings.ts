/** How a finding is come by: seen at a glance, known from the file, or tested on purpose. */
export type FindingKind = 'seen' | 'known' | 'test'

export interface Finding {
  readonly question: string
  readonly kind: FindingKind
  /** Minutes that finding out takes at the water. */
  readonly minutes: number
  /** How often it is so at a pond somebody asks about, whatever the cause. */
  readonly usual: number
}

const seen = (question: string, usual: number, minutes = 1): Finding => ({ question, kind: 'seen', minutes, usual })
const known = (question: string, usual: number): Finding => ({ question, kind: 'known', minutes: 0, usual })
const test = (question: string, usual: number, minutes: number): Finding => ({ question, kind: 'test', minutes, usual })

/**
 * Everything that can be told about a pond that looks or does wrong. "usual" is how often it is so among ponds that
 * are asked about.
 * @source trade experience, reviewed; a firm's own cases should mend these figures
 */
export const FINDINGS = {
  // the water's look
  'water-green': seen('Is the water green?', 0.2),
  'water-brown': seen('Is the water clear but brown like tea?', 0.08),
  'water-muddy': seen('Is the water grey or brown with mud?', 0.1),
  'water-milky': seen('Is the water milky white?', 0.07),
  'glass-settles': test('Does a glass of the water clear overnight, with a sediment?', 0.15, 5),
  'glass-stays-green': test('Is the water in a white glass green when held to the light?', 0.2, 2),
  foam: seen('Does foam stay under the falls?', 0.1),
  film: seen('Is there a film on the surface?', 0.1),
  'film-breaks': test('Does the film break into plates when a stick goes through it?', 0.05, 1),
  'smell-eggs': seen('Does it smell of rotten eggs where the floor is stirred?', 0.06),
  // algae and plants
  'string-algae': seen('Are there strings or mats of algae?', 0.15),
  duckweed: seen('Do small floating leaves cover the surface?', 0.06),
  'plants-pale': seen('Are plants pale or stunted?', 0.1),
  'pale-in-a-row': seen('Are they pale in the middle or along a line, and green near the inlet?', 0.04),
  'plants-few': known('Are there few plants for the pond?', 0.25),
  'plants-rampant': seen('Have plants grown over edges, screens or the skimmer’s mouth?', 0.07),
  'roots-dry': test('Do roots end in dry stone when one plant is lifted?', 0.06, 10),
  // fish
  'fish-gasp': seen('Do fish gasp at the surface?', 0.08),
  'gasp-at-dawn': seen('Is it worst at dawn and better by noon?', 0.05),
  'fish-flash': seen('Do fish rub or flash against stones?', 0.06),
  'fins-clamped': seen('Are fins clamped?', 0.07),
  'red-streaks': seen('Are fin tips or flanks red?', 0.05),
  'raised-scales': seen('Are scales raised, or is there an open wound?', 0.03),
  'cloudy-skin': seen('Is the skin cloudy or spotted?', 0.05),
  'one-fish-only': seen('Is it one fish among many?', 0.1),
  'fish-hide': seen('Do fish hide and not come to feed?', 0.07),
  'fish-missing': seen('Are fish missing, or is one wounded from above?', 0.04),
  // tests
  'oxygen-low': test('Is oxygen below 5 mg/L?', 0.07, 3),
  'ammonia-high': test('Is toxic ammonia past the act line?', 0.08, 6),
  'nitrite-high': test('Is nitrite above 0.5 mg/L?', 0.07, 4),
  'nitrate-low': test('Is nitrate below 1 mg/L?', 0.2, 5),
  'ph-high': test('Is the pH above 8.8?', 0.12, 3),
  'ph-low': test('Is the pH below 6.5?', 0.05, 3),
  'kh-low': test('Is KH below 2 °dH?', 0.1, 4),
  // history and surroundings
  'filter-new': known('Is the filter newer than ten weeks?', 0.1),
  'cleaned-lately': known('Were all media cleaned, or the pond drained, in the last six weeks?', 0.1),
  'outage-lately': known('Did the pump stand still for a day in the last weeks?', 0.06),
  'filter-small': known('Is the filter smaller than the house method asks?', 0.2),
  'fish-many': known('Are there more fish than the system carries?', 0.2),
  'fed-much': known('Is more fed than the fish eat in a few minutes?', 0.2),
  'leaves-in': seen('Do leaves lie in the pond, or trees hang over it?', 0.25),
  'wood-in': seen('Is there new wood, bark or peat in the water?', 0.04),
  'rain-lately': known('Was there heavy rain in the last days?', 0.2),
  'bank-washes-in': seen('Does soil wash in from a bank or bed?', 0.08),
  'stone-new': known('Was gravel or stone put in lately?', 0.06),
  'fish-dig': seen('Do large fish dig in the floor?', 0.1),
  'treated-lately': known('Was something dosed in the last week?', 0.12),
  'water-cold': known('Is the water below 12 °C?', 0.25),
  'hot-days': known('Have the days been hot?', 0.2),
  'sludge-deep': test('Is the sludge deeper than 5 cm?', 0.2, 3),
  'lamp-fitted': known('Is a UV lamp fitted?', 0.4),
  'lamp-old': known('Is its lamp past its hours?', 0.12),
  'ioniser-fitted': known('Is an ioniser fitted?', 0.12),
  'ioniser-low': test('Does the ioniser’s probe show less than it should?', 0.05, 5),
  'bird-seen': seen('Was a heron or another bird seen, or its tracks?', 0.06),
  // level and flow
  'level-falls': seen('Does the level fall more than it should, or more than 10 mm a day?', 0.12),
  'falls-pump-off': test('Does it fall as fast with the pump off overnight?', 0.05, 10),
  'bucket-falls': test('Does a bucket standing in the pond lose as much, or evaporation explain it?', 0.1, 5),
  'wet-ground': seen('Is the ground wet beside falls, stream or bed?', 0.05),
  'flow-less': seen('Is there less flow over the falls?', 0.12),
  'basket-full': test('Is the basket, skimmer or strainer full?', 0.12, 5),
  'bed-stands-high': seen('Does the water in the bed stand higher than it did?', 0.05),
  'pump-noisy': seen('Is the pump hot, noisy or pulsing?', 0.04),
  'pump-weak': test('Is the flow still weak at the pump with the pipe off?', 0.05, 20),
  'air-in-pipe': seen('Do bubbles come out of the return or the pump’s pipe?', 0.04),
  'edge-low': test('Is an edge of the falls lower than its lip by the level?', 0.04, 10),
} as const satisfies Record<string, Finding>

export type FindingKey = keyof typeof FINDINGS
export const FINDING_KEYS = Object.keys(FINDINGS) as FindingKey[]

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
