import { seededRandom } from '../../src/core/numeric/random'
import type { PondInput } from '../../src/domain/ponds/pond'
import { fish, pond, zone, type DemoPond, type DemoSite } from '../sites'
import { HEIGHT, STATION } from '../towns'

const SEED = 61_206
const SITES = 84
/** Every so many sites have a second pond. */
const SECOND_EVERY = 3.5

const GIVEN = [
  ['Abery', 'Bessamy', 'Cadwin', 'Delphy', 'Emeric', 'Fenella', 'Garrick', 'Hespera', 'Idony', 'Jessop', 'Kerensa'],
  ['Lorcan', 'Merrin', 'Nolan', 'Orla', 'Petroc', 'Quilla', 'Rosmund', 'Senara', 'Talan', 'Ursel', 'Verity', 'Wenna'],
].flat()
const FAMILY = [
  ['Aldermoor', 'Bracklewhite', 'Candlish', 'Dunmallow', 'Eddergate', 'Farthingloe', 'Grindlebeck', 'Hawksedge'],
  ['Inkerpool', 'Jacklow', 'Kettlestone', 'Larkrise', 'Mossgrave', 'Nettlefold', 'Oxenbrook', 'Pinderwick', 'Quarne'],
  ['Rushbourne', 'Saltmarsh', 'Teasel', 'Underhay', 'Vennerby', 'Withycombe', 'Yarrowdale'],
].flat()
const FIRST = [
  'Alder',
  'Bell',
  'Cove',
  'Drift',
  'Elder',
  'Fern',
  'Gorse',
  'Heath',
  'Ivy',
  'Juniper',
  'Kestrel',
  'Linnet',
]
const LAST = ['Bank', 'Croft', 'End', 'Garth', 'Holm', 'House', 'Lea', 'Mount', 'Nook', 'Steading', 'Thwaite']
const STREETS = ['Brae', 'Hill', 'Lane', 'Loan', 'Road', 'Row', 'Strand', 'Walk']
const ACCESS = [
  '',
  '',
  'Side gate on the left, latch sticks.',
  'Key at the neighbour’s, blue door.',
  'Park in the lane, the drive is soft after rain.',
  'Dog in the garden: ring first.',
]

/** A pond as many have it: its use, its shape and what swims in it; a bed of the same size fits all of a kind. */
interface Kind {
  readonly key: string
  readonly names: readonly string[]
  readonly make: (altitudeM: number, trees: PondInput['trees']) => Parameters<typeof pond>[2]
}

const shelved = (lengthM: number, widthM: number, depthM: number) => ({
  outline: { kind: 'ellipse' as const, lengthM, widthM },
  zones: [zone('Shelf', 0.35, 1, 0.3), zone('Deep', depthM, 0.55, 0.2)],
})
const walled = (lengthM: number, widthM: number, depthM: number) => ({
  outline: { kind: 'rectangle' as const, lengthM, widthM },
  zones: [zone('Basin', depthM, 1, 0)],
})

/** In the order in which they come round: the everyday ones often, a swimming pond and a tub now and then. */
const KINDS = {
  family: {
    key: 'family',
    names: ['Garden pond', 'Lawn pond', 'Orchard pond'],
    make: (altitudeM, trees) => ({
      ...shelved(6.4, 4.2, 1.1),
      use: 'many-fish',
      fish: [fish('goldfish', 22, 0.13)],
      altitudeM,
      trees,
    }),
  },
  small: {
    key: 'small',
    names: ['Patio pond', 'Front pond', 'Kitchen pond'],
    make: (altitudeM, trees) => ({
      ...shelved(4.2, 3, 0.9),
      use: 'few-small-fish',
      fish: [fish('goldfish', 9, 0.12)],
      altitudeM,
      trees,
    }),
  },
  formal: {
    key: 'formal',
    names: ['Formal basin', 'Terrace basin', 'Long basin'],
    make: (altitudeM, trees) => ({
      ...walled(6, 2.8, 0.75),
      use: 'few-small-fish',
      fish: [fish('goldfish', 12, 0.12)],
      rockShare: 0,
      altitudeM,
      trees,
    }),
  },
  wild: {
    key: 'wild',
    names: ['Wildlife pond', 'Meadow pond', 'Frog pond'],
    make: (altitudeM, trees) => ({
      ...shelved(7.6, 4.8, 0.95),
      use: 'wildlife',
      waterSource: 'rain',
      altitudeM,
      trees,
    }),
  },
  koi: {
    key: 'koi',
    names: ['Koi pond', 'Koi pool'],
    make: (altitudeM, trees) => ({
      ...walled(5.6, 3.4, 1.5),
      use: 'koi',
      fish: [fish('koi', 8, 0.38)],
      rockShare: 0,
      altitudeM,
      trees,
      freeboardM: 0.12,
    }),
  },
  large: {
    key: 'large',
    names: ['Lower pond', 'Large pond', 'Mere'],
    make: (altitudeM, trees) => ({
      ...shelved(10.5, 6.2, 1.3),
      use: 'many-fish',
      fish: [fish('goldfish', 40, 0.15), fish('orfe', 6, 0.28)],
      altitudeM,
      trees,
    }),
  },
  swim: {
    key: 'swim',
    names: ['Swimming pond'],
    make: (altitudeM) => ({
      outline: { kind: 'rectangle', lengthM: 12, widthM: 6.5 },
      zones: [zone('Planted edge', 0.5, 1, 0.2), zone('Swimming', 1.9, 0.6, 0)],
      use: 'swimming',
      rockShare: 0.05,
      altitudeM,
      trees: 'none',
    }),
  },
  court: {
    key: 'court',
    names: ['Court pool', 'Yard basin'],
    make: (altitudeM) => ({
      ...walled(3.2, 1.7, 0.65),
      use: 'few-small-fish',
      fish: [fish('goldfish', 5, 0.1)],
      rockShare: 0,
      altitudeM,
      trees: 'none',
    }),
  },
} as const satisfies Readonly<Record<string, Kind>>
type KindKey = keyof typeof KINDS

const ROUND: readonly KindKey[] = [
  ['family', 'small', 'wild', 'formal', 'family', 'koi', 'small', 'large', 'court', 'family', 'wild', 'small'],
  ['formal', 'family', 'koi', 'small', 'swim', 'large', 'family', 'court', 'wild', 'small'],
].flat() as KindKey[]
/** Trees stand where they like, more inland than by the sea. */
const TREES: Readonly<Record<string, readonly PondInput['trees'][]>> = {
  'Marrow Quay': ['none', 'some'],
  'Upper Sallow': ['many', 'some'],
  'Tinker’s Reach': ['some', 'none'],
  'Cold Ash Common': ['some', 'none'],
  Ferrygate: ['many', 'some'],
  'Plover Green': ['some', 'none'],
}

const slug = (text: string): string => text.toLowerCase().replace(/[^a-z]+/g, '-')

function makeSites(): DemoSite[] {
  const random = seededRandom(SEED)
  const pick = <Value>(from: readonly Value[]): Value => from[Math.floor(random() * from.length)]!
  const towns = Object.keys(HEIGHT)
  const houses = FIRST.flatMap((first) => LAST.map((last) => `${first} ${last}`))
  const people = FAMILY.flatMap((family, i) =>
    GIVEN.map((given, j) => ({ name: `${given} ${family}`, order: i * 7 + j * 11 })),
  )
    .sort((a, b) => a.order - b.order)
    .map(({ name }) => name)
  let kind = 0
  return Array.from({ length: SITES }, (_, i) => {
    const town = towns[i % towns.length]!
    const site = houses.splice(Math.floor(random() * houses.length), 1)[0]!
    const ponds = Math.floor((i + 1) / SECOND_EVERY) > Math.floor(i / SECOND_EVERY) ? 2 : 1
    return {
      customer: people[(i * 37) % people.length]!,
      site,
      address: `${pick(FIRST)} ${pick(STREETS)} ${1 + Math.floor(random() * 40)}`,
      town,
      stationId: STATION[town]!,
      access: pick(ACCESS),
      ponds: Array.from({ length: ponds }, (_unused, second): DemoPond => {
        const { key, names, make }: Kind = KINDS[ROUND[kind++ % ROUND.length]!]
        const name = pick(names)
        return {
          ...pond(`${slug(site)}-${second}`, name, make(HEIGHT[town]!, pick(TREES[town]!))),
          kind: key,
        }
      }),
    }
  })
}

/** The ordinary customers around those of the stories. */
export const LIVING_SITES: readonly DemoSite[] = makeSites()
