import type { CauseKey } from './causes'
import type { FindingKey } from './findings'

/**
 * A made-up call as it might come in: what is told, what is behind it, and tests that would separate it from its
 * neighbours.
 */
export interface WrittenCase {
  readonly words: string
  readonly yes: readonly FindingKey[]
  readonly no: readonly FindingKey[]
  readonly cause: CauseKey
  /** Any of these is a good next question; empty where enough is told. */
  readonly separating: readonly FindingKey[]
}

const call = (
  words: string,
  cause: CauseKey,
  yes: FindingKey[],
  no: FindingKey[] = [],
  separating: FindingKey[] = [],
): WrittenCase => ({
  words,
  yes,
  no,
  cause,
  separating,
})

/** @source written by hand for this product: no customer's pond is among them */
export const WRITTEN_CASES: readonly WrittenCase[] = [
  call(
    'Pea soup at the brewery yard; the bed was built for goldfish, koi came later',
    'green-filter-small',
    ['water-green', 'filter-small', 'fish-many'],
    ['filter-new', 'cleaned-lately', 'lamp-fitted'],
  ),
  call(
    'Green since June, filter half of what the house asks, fed with care',
    'green-filter-small',
    ['water-green', 'filter-small'],
    ['filter-new', 'cleaned-lately', 'fed-much', 'fish-many'],
  ),
  call(
    'A pond of four weeks, bed planted, water turned green',
    'green-filter-young',
    ['water-green', 'filter-new'],
    ['filter-small', 'cleaned-lately'],
  ),
  call(
    'New bog this spring, green soup in May, lamp shines',
    'green-filter-young',
    ['water-green', 'filter-new', 'lamp-fitted'],
    ['lamp-old', 'filter-small'],
  ),
  call(
    'Pressure-washed to the last stone in April, green in May',
    'green-cleaned',
    ['water-green', 'cleaned-lately'],
    ['filter-new', 'filter-small'],
  ),
  call(
    'Green two weeks after the owner hosed all mats with tap water',
    'green-cleaned',
    ['water-green', 'cleaned-lately'],
    ['filter-new', 'fed-much'],
  ),
  call(
    'Green, forty carp in a bath, feed lies on the floor',
    'green-overfed',
    ['water-green', 'fed-much', 'fish-many'],
    ['filter-small', 'filter-new', 'cleaned-lately'],
  ),
  call(
    'Green since the children feed four times a day',
    'green-overfed',
    ['water-green', 'glass-stays-green', 'fed-much'],
    ['filter-small', 'filter-new', 'cleaned-lately', 'plants-few'],
    ['fish-many', 'lamp-old', 'lamp-fitted'],
  ),
  call(
    'Bare formal pool, few fish, sound filter, green',
    'green-few-plants',
    ['water-green', 'plants-few'],
    ['fed-much', 'fish-many', 'filter-small', 'filter-new', 'cleaned-lately'],
  ),
  call(
    'Clear for two years, green now; the lamp glows but is two seasons old',
    'lamp-aged',
    ['water-green', 'lamp-fitted', 'lamp-old'],
    ['filter-new', 'cleaned-lately', 'filter-small'],
  ),
  call(
    'Green pond; nobody remembers the lamp',
    'lamp-aged',
    ['water-green', 'lamp-fitted', 'lamp-old'],
    ['cleaned-lately', 'filter-new'],
  ),
  call('Crystal water, green hair on every stone', 'string-algae', ['string-algae'], ['water-green', 'ioniser-fitted']),
  call(
    'Mats on the spillway in May sun',
    'string-algae',
    ['string-algae', 'plants-few'],
    ['water-green', 'ioniser-fitted'],
  ),
  call(
    'Strings came back though an ioniser hums; its probe reads low',
    'ioniser-worn',
    ['string-algae', 'ioniser-fitted', 'ioniser-low'],
    ['water-green'],
  ),
  call(
    'Strings in spite of an ioniser',
    'ioniser-worn',
    ['string-algae', 'ioniser-fitted'],
    ['water-green'],
    ['ioniser-low'],
  ),
  call('Tea under the oaks', 'tannin', ['water-brown', 'leaves-in'], ['fed-much', 'water-muddy']),
  call(
    'Brown since bog oak was laid in for looks',
    'tannin',
    ['water-brown', 'wood-in'],
    ['fed-much', 'glass-settles'],
  ),
  call(
    'Brown water, no tree near, feed by the scoop',
    'brown-overfed',
    ['water-brown', 'fed-much'],
    ['leaves-in', 'wood-in'],
  ),
  call(
    'Carp rooting in a soil floor, water like cocoa',
    'mud-fish',
    ['water-muddy', 'fish-dig', 'glass-settles'],
    ['rain-lately', 'stone-new'],
  ),
  call(
    'Mud after Tuesday’s storm, soil over the edge',
    'mud-runoff',
    ['water-muddy', 'rain-lately', 'bank-washes-in'],
    ['fish-dig'],
  ),
  call(
    'Mud after rain',
    'mud-runoff',
    ['water-muddy', 'rain-lately'],
    ['stone-new'],
    ['bank-washes-in', 'fish-dig', 'glass-settles'],
  ),
  call(
    'Grey since the new gravel went in unwashed',
    'mud-stone',
    ['water-muddy', 'stone-new'],
    ['fish-dig', 'rain-lately'],
  ),
  call(
    'Milk three days after a sludge cure',
    'milky-bloom',
    ['water-milky', 'treated-lately'],
    ['glass-settles', 'stone-new'],
  ),
  call(
    'Foam that stays under the falls, koi fat as pigs',
    'foam-protein',
    ['foam', 'fed-much', 'fish-many'],
    ['treated-lately'],
  ),
  call('Skin on still water that breaks like ice', 'film-bacterial', ['film', 'film-breaks'], ['pump-noisy']),
  call(
    'Rainbow film that closes again behind the stick, pump growls',
    'film-oil',
    ['film', 'pump-noisy'],
    ['film-breaks'],
  ),
  call('Film, nothing else', 'film-bacterial', ['film'], [], ['film-breaks']),
  call('Green carpet of tiny leaves', 'duckweed', ['duckweed'], ['string-algae']),
  call(
    'Bog yellow down the middle, roots in dust',
    'plants-bypassed',
    ['plants-pale', 'pale-in-a-row', 'roots-dry'],
    ['water-cold'],
  ),
  call(
    'Pale bog plants in June, green beside the inlet',
    'plants-bypassed',
    ['plants-pale', 'pale-in-a-row'],
    ['water-cold', 'nitrate-low'],
  ),
  call(
    'Pale lilies in water without nitrate, three goldfish',
    'plants-hungry',
    ['plants-pale', 'nitrate-low'],
    ['pale-in-a-row', 'water-cold', 'fish-many'],
  ),
  call(
    'Yellow irises in cold April water',
    'plants-cold',
    ['plants-pale', 'water-cold'],
    ['pale-in-a-row', 'roots-dry'],
  ),
  call(
    'Pale leaves with green veins, pH of nine',
    'plants-ph',
    ['plants-pale', 'ph-high'],
    ['nitrate-low', 'water-cold', 'roots-dry'],
  ),
  call(
    'Mint in the skimmer’s mouth, flow down a little',
    'plants-rampant',
    ['plants-rampant', 'flow-less'],
    ['basket-full', 'bed-stands-high'],
  ),
  call(
    'Gasping at dawn in the heatwave, fine by noon',
    'low-oxygen',
    ['fish-gasp', 'gasp-at-dawn', 'hot-days'],
    ['nitrite-high', 'smell-eggs'],
  ),
  call(
    'Gasping in green soup, oxygen four',
    'low-oxygen',
    ['fish-gasp', 'water-green', 'oxygen-low'],
    ['cleaned-lately'],
  ),
  call(
    'Gasping all day in a six-week-old pond, nitrite two',
    'nitrite-poisoning',
    ['fish-gasp', 'nitrite-high', 'filter-new'],
    ['oxygen-low', 'gasp-at-dawn'],
  ),
  call(
    'Fish gasp all day, pond is new, oxygen fine',
    'nitrite-poisoning',
    ['fish-gasp', 'filter-new'],
    ['oxygen-low', 'gasp-at-dawn', 'fins-clamped'],
    ['nitrite-high', 'ammonia-high'],
  ),
  call(
    'Clamped fins and red streaks a week after a sterile clean, ammonia past the line',
    'ammonia-poisoning',
    ['fins-clamped', 'red-streaks', 'ammonia-high', 'cleaned-lately', 'fish-gasp'],
    ['oxygen-low', 'one-fish-only'],
  ),
  call(
    'Two years of leaves, rotten eggs under the rocks',
    'hydrogen-sulfide',
    ['smell-eggs', 'sludge-deep', 'leaves-in'],
    [],
  ),
  call(
    'Gasping and rubbing with every test in order',
    'gill-disease',
    ['fish-gasp', 'fish-flash'],
    ['oxygen-low', 'nitrite-high', 'ammonia-high', 'gasp-at-dawn'],
  ),
  call(
    'One koi with a raised scale and a wound',
    'infection',
    ['raised-scales', 'red-streaks', 'one-fish-only'],
    ['fish-gasp'],
  ),
  call(
    'White film on three fish, water tests good',
    'infection',
    ['cloudy-skin', 'fins-clamped', 'fish-flash'],
    ['ammonia-high', 'nitrite-high', 'fish-gasp', 'oxygen-low'],
  ),
  call(
    'Fish will not come up since Sunday, two are gone',
    'heron',
    ['fish-hide', 'fish-missing'],
    ['fish-gasp', 'ammonia-high'],
  ),
  call(
    'Level down in the dry week, the bucket too',
    'evaporation',
    ['level-falls', 'bucket-falls', 'hot-days'],
    ['wet-ground'],
  ),
  call(
    'Level down overnight with the pump off, bucket steady',
    'leak-shell',
    ['level-falls', 'falls-pump-off'],
    ['bucket-falls', 'wet-ground'],
  ),
  call(
    'Level down by day, still with the pump off, ground wet by the stream',
    'leak-moving-water',
    ['level-falls', 'wet-ground'],
    ['falls-pump-off', 'bucket-falls', 'edge-low'],
  ),
  call(
    'Level down in cool weather',
    'leak-moving-water',
    ['level-falls'],
    ['hot-days', 'bucket-falls'],
    ['falls-pump-off', 'wet-ground'],
  ),
  call(
    'Falls splash behind the stone, the lip has tipped',
    'falls-wrong-way',
    ['wet-ground', 'edge-low'],
    ['falls-pump-off'],
  ),
  call(
    'Trickle over the falls in leaf fall',
    'basket-full',
    ['flow-less', 'leaves-in'],
    ['bed-stands-high', 'pump-noisy'],
    ['basket-full'],
  ),
  call(
    'Falls at half, basket empty, pump hot',
    'pump-worn',
    ['flow-less', 'pump-noisy', 'pump-weak'],
    ['basket-full', 'bed-stands-high', 'air-in-pipe'],
  ),
  call(
    'Falls at half, water stands over the gravel',
    'bed-clogged',
    ['flow-less', 'bed-stands-high'],
    ['basket-full', 'pump-noisy'],
  ),
  call(
    'Falls gulp and spit after the top-up was forgotten',
    'air-lock',
    ['flow-less', 'air-in-pipe'],
    ['basket-full', 'bed-stands-high'],
  ),
  call(
    'Routine test: ammonia after the power cut, fish look well',
    'settling-in',
    ['ammonia-high', 'outage-lately'],
    ['fish-gasp', 'fins-clamped', 'water-green'],
  ),
  call(
    'KH of one after a wet winter; nothing looks wrong yet',
    'ph-crash',
    ['kh-low', 'rain-lately'],
    ['ph-low', 'fish-gasp', 'ammonia-high', 'nitrite-high'],
  ),
  call(
    'pH of six, KH gone, fish hang with clamped fins',
    'ph-crash',
    ['kh-low', 'ph-low', 'fins-clamped'],
    ['ammonia-high', 'nitrite-high', 'oxygen-low'],
  ),
  call('pH has slid to 6.2', 'ph-crash', ['ph-low'], ['water-green'], ['kh-low']),
  call(
    'Ammonia past the line in August, nothing was cleaned, no power cut, the filter is years old',
    'ammonia-overload',
    ['ammonia-high'],
    ['filter-new', 'cleaned-lately', 'outage-lately', 'fish-gasp', 'fins-clamped'],
  ),
  call(
    'Nitrite and ammonia in a crowded old pond, forty carp, fed by the scoop',
    'ammonia-overload',
    ['ammonia-high', 'nitrite-high', 'fish-many', 'fed-much'],
    ['filter-new', 'cleaned-lately', 'outage-lately', 'water-green', 'fish-gasp'],
  ),
]
