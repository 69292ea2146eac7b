import { NO_GUESTS } from '@/core/filter/load/guests'
import type { SiteInput } from '../src/domain/customers/customer'
import type { FishLine, PondInput } from '../src/domain/ponds/pond'

export interface DemoPond {
  readonly key: string
  /** Ponds of one kind were built alike and have the same filter; left out where each is its own. */
  readonly kind?: string
  readonly pond: PondInput
}

export interface DemoSite {
  readonly customer: string
  readonly site: string
  readonly address: string
  readonly town: string
  readonly stationId: string
  readonly access: string
  /** When the customer lets anyone in; any time when left out. */
  readonly hours?: Partial<Pick<SiteInput, 'opens' | 'closes' | 'closedDays' | 'blackouts'>>
  readonly ponds: readonly DemoPond[]
}

export const fish = (species: FishLine['species'], count: number, lengthM: number): FishLine => ({
  species,
  count,
  lengthM,
})
export const zone = (name: string, floorDepthM: number, surfaceShare: number, sideSlope: number) => ({
  name,
  floorDepthM,
  surfaceShare,
  sideSlope,
})

export const pond = (
  key: string,
  name: string,
  rest: Partial<PondInput> & Pick<PondInput, 'use' | 'outline' | 'zones'>,
): DemoPond => ({
  key,
  pond: {
    name,
    rockShare: 0.1,
    meteredFillM3: null,
    volumeTests: [],
    setAside: null,
    beside: [],
    fish: [],
    guests: NO_GUESTS,
    roomTempC: null,
    waterSource: 'mains',
    lining: 'liner',
    altitudeM: 20,
    trees: 'some',
    freeboardM: 0.08,
    notes: '',
    ...rest,
  },
})

const WEST = { stationId: 'marrow-quay', town: 'Marrow Quay' }
const UPLAND = { stationId: 'cold-ash-common', town: 'Cold Ash Common' }

/** Customers with a story each; everyday ones are in more-sites. */
export const STORY_SITES: readonly DemoSite[] = [
  {
    customer: 'Brannoch family',
    site: 'Lanternhouse',
    address: '4 Gull Stair',
    ...WEST,
    access: 'Side gate, code on the key tag. Dog is friendly.',
    ponds: [
      pond('lanternhouse', 'Garden pond', {
        use: 'many-fish',
        outline: {
          kind: 'offsets',
          offsets: [
            { stationM: 0, leftM: 0, rightM: 0 },
            { stationM: 1, leftM: 1.3, rightM: 0.9 },
            { stationM: 2.5, leftM: 1.9, rightM: 1.6 },
            { stationM: 4, leftM: 1.5, rightM: 2.1 },
            { stationM: 5.5, leftM: 1.2, rightM: 1.9 },
            { stationM: 6.6, leftM: 0.8, rightM: 1.1 },
            { stationM: 7.2, leftM: 0, rightM: 0 },
          ],
        },
        zones: [
          zone('Marsh shelf', 0.25, 1, 0.3),
          zone('Planting shelf', 0.55, 0.66, 0.2),
          zone('Deep', 1.15, 0.36, 0.15),
        ],
        fish: [fish('goldfish', 18, 0.14), fish('orfe', 6, 0.22)],
        meteredFillM3: 10.9,
      }),
    ],
  },
  {
    customer: 'Ostrava Lindqvane',
    site: 'Highcairn House',
    address: 'Upper Drove 1',
    ...UPLAND,
    access: 'Ring at the coach house. Koi: hands and nets rinsed in pond water first.',
    ponds: [
      pond('highcairn', 'Koi pond', {
        use: 'koi',
        outline: { kind: 'rectangle', lengthM: 7, widthM: 4 },
        zones: [zone('Pool', 1.6, 1, 0)],
        rockShare: 0,
        fish: [fish('koi', 14, 0.48), fish('koi', 6, 0.35)],
        meteredFillM3: 44.1,
        altitudeM: 425,
        trees: 'none',
        freeboardM: 0.12,
      }),
    ],
  },
  {
    customer: 'The Drover’s Rest',
    site: 'Inn terrace',
    address: 'Bridge Row',
    town: 'Ferrygate',
    stationId: 'ferrygate',
    access: 'Terrace opens to guests at 11:00; hoses away by then.',
    ponds: [
      pond('drovers', 'Terrace pond', {
        use: 'many-fish',
        outline: { kind: 'ellipse', lengthM: 9.5, widthM: 5.5 },
        zones: [zone('Shelf', 0.4, 1, 0.3), zone('Deep', 1, 0.55, 0.25)],
        fish: [fish('goldfish', 45, 0.16), fish('koi', 5, 0.4)],
        altitudeM: 82,
        trees: 'many',
      }),
    ],
  },
  {
    customer: 'Sallow School',
    site: 'School wildlife garden',
    address: 'Teacher’s Walk',
    town: 'Upper Sallow',
    stationId: 'ferrygate',
    access: 'Sign in at the office. Never leave the gate open; pond guarded in school hours.',
    ponds: [
      pond('school', 'Wildlife pond', {
        use: 'wildlife',
        outline: { kind: 'ellipse', lengthM: 6, widthM: 4.2 },
        zones: [zone('Beach', 0.2, 1, 1), zone('Middle', 0.6, 0.62, 0.6)],
        rockShare: 0.12,
        waterSource: 'rain',
        altitudeM: 140,
        trees: 'some',
      }),
    ],
  },
  {
    customer: 'Heronwell Hospice',
    site: 'Quiet garden',
    address: 'Heronwell Lane',
    town: 'Plover Green',
    stationId: 'plover-green',
    access: 'No machines before 9:30. Use the service path.',
    ponds: [
      pond('hospice-court', 'Court pond', {
        use: 'few-small-fish',
        outline: { kind: 'rectangle', lengthM: 4, widthM: 2.2 },
        zones: [zone('Pool', 0.7, 1, 0)],
        rockShare: 0.02,
        fish: [fish('goldfish', 12, 0.11)],
        altitudeM: 38,
      }),
      pond('hospice-bog', 'Yellow bog pond', {
        use: 'few-small-fish',
        outline: { kind: 'ellipse', lengthM: 7, widthM: 4 },
        zones: [zone('Shelf', 0.35, 1, 0.3), zone('Deep', 0.9, 0.5, 0.3)],
        fish: [fish('goldfish', 20, 0.12)],
        altitudeM: 38,
        trees: 'none',
        notes: 'Bog plants pale and starving although the pump runs: water seems to pass under the roots.',
      }),
    ],
  },
  {
    customer: 'Island Museum',
    site: 'Museum court',
    address: 'Customs Square',
    ...WEST,
    access: 'Through the loading door; power in the crypt, keeper has the key.',
    ponds: [
      pond('museum', 'Court basin', {
        use: 'few-small-fish',
        outline: { kind: 'rectangle', lengthM: 8, widthM: 3 },
        zones: [zone('Basin', 0.55, 1, 0)],
        rockShare: 0,
        fish: [fish('goldfish', 30, 0.1)],
        trees: 'none',
      }),
    ],
  },
  {
    customer: 'Coppergill Brewery',
    site: 'Brewery yard',
    address: 'Malt Lane 9',
    town: 'Tinker’s Reach',
    stationId: 'ferrygate',
    access: 'Drays until 10:00. Park by the cooper’s shed.',
    ponds: [
      pond('brewery', 'Yard pond', {
        use: 'koi',
        outline: { kind: 'ellipse', lengthM: 8, widthM: 6 },
        zones: [zone('Shelf', 0.45, 1, 0.2), zone('Deep', 1.3, 0.6, 0.15)],
        fish: [fish('koi', 16, 0.45), fish('sturgeon', 2, 0.7)],
        altitudeM: 66,
        trees: 'some',
        notes: 'Filter was built for goldfish; guests feed all summer.',
      }),
    ],
  },
  {
    customer: 'Wendle Farm Trust',
    site: 'Farm reserve',
    address: 'Wendle Farm',
    ...UPLAND,
    access: 'Last 300 m unsurfaced; four-wheel drive in winter.',
    ponds: [
      pond('reserve', 'Reserve pond', {
        use: 'wildlife',
        outline: {
          kind: 'offsets',
          offsets: [
            { stationM: 0, leftM: 1, rightM: 1.5 },
            { stationM: 5, leftM: 5, rightM: 4.5 },
            { stationM: 11, leftM: 6.5, rightM: 6 },
            { stationM: 17, leftM: 5, rightM: 7 },
            { stationM: 23, leftM: 3.5, rightM: 4 },
            { stationM: 27, leftM: 1, rightM: 1 },
          ],
        },
        zones: [zone('Reed shelf', 0.4, 1, 1.2), zone('Open water', 1.4, 0.55, 1.5)],
        rockShare: 0.03,
        waterSource: 'stream',
        lining: 'clay',
        altitudeM: 395,
        trees: 'many',
        freeboardM: 0.2,
      }),
    ],
  },
  {
    customer: 'Café Pomander',
    site: 'Café patio',
    address: 'Quay Steps 2',
    ...WEST,
    access: 'Before 8:00 or after 17:00.',
    ponds: [
      pond('cafe', 'Oak tub', {
        use: 'few-small-fish',
        outline: { kind: 'ellipse', lengthM: 1.1, widthM: 1.1 },
        zones: [zone('Tub', 0.5, 1, 0)],
        rockShare: 0.03,
        fish: [fish('smallFish', 12, 0.03)],
        trees: 'none',
        freeboardM: 0.04,
      }),
    ],
  },
  {
    customer: 'Marchbank & Ruel',
    site: 'Swimming pond',
    address: 'Tarn View',
    town: 'Plover Green',
    stationId: 'plover-green',
    access: 'Pool gate is alarmed: call from the lane.',
    ponds: [
      pond('swim', 'Swimming pond', {
        use: 'swimming',
        outline: { kind: 'rectangle', lengthM: 14, widthM: 7 },
        zones: [zone('Planted edge', 0.5, 1, 0.2), zone('Swimming', 2, 0.6, 0)],
        rockShare: 0.06,
        altitudeM: 55,
        trees: 'none',
        freeboardM: 0.1,
      }),
    ],
  },
  {
    customer: 'Aldous Creeve',
    site: 'Foxholt',
    address: 'Ash Lane 17',
    ...UPLAND,
    access: 'Overgrown drive. Pond not seen by anyone for two years.',
    ponds: [
      pond('foxholt', 'Old pond', {
        use: 'many-fish',
        outline: {
          kind: 'offsets',
          offsets: [
            { stationM: 0, leftM: 0.5, rightM: 0.4 },
            { stationM: 2, leftM: 1.8, rightM: 1.5 },
            { stationM: 4, leftM: 2.1, rightM: 2.2 },
            { stationM: 6, leftM: 1.2, rightM: 1.6 },
            { stationM: 7, leftM: 0.3, rightM: 0.2 },
          ],
        },
        zones: [zone('Shelf', 0.4, 1, 0.3), zone('Deep', 0.95, 0.5, 0.25)],
        fish: [fish('goldfish', 60, 0.15)],
        altitudeM: 402,
        trees: 'many',
      }),
    ],
  },
  {
    customer: 'Tilda Oakenshaw',
    site: 'Ropewalk Cottage',
    address: 'Ropewalk 30',
    town: 'Ferrygate',
    stationId: 'ferrygate',
    access: 'Steps down to the garden; no barrow.',
    ponds: [
      pond('ropewalk', 'Lower pond', {
        use: 'many-fish',
        outline: { kind: 'ellipse', lengthM: 5, widthM: 3.2 },
        zones: [zone('Shelf', 0.3, 1, 0.25), zone('Deep', 0.9, 0.55, 0.2)],
        fish: [fish('goldfish', 22, 0.13)],
        altitudeM: 74,
        notes: 'Level drops more than the weather explains.',
      }),
      pond('ropewalk-rill', 'Rill basin', {
        use: 'few-small-fish',
        outline: { kind: 'rectangle', lengthM: 3.2, widthM: 0.9 },
        zones: [zone('Basin', 0.4, 1, 0)],
        rockShare: 0.05,
        altitudeM: 74,
      }),
    ],
  },
]
