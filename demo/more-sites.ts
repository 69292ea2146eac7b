import { fish, pond, zone, type DemoSite } from './sites'
import { HEIGHT, STATION } from './towns'

/** Customer, site, town, street, pond, long and wide, depth, goldfish, trees. */
type Row = readonly [string, string, string, string, string, number, number, number, number, 'none' | 'some' | 'many']

const ROWS: readonly Row[] = [
  ['Nessa Quillfeather', 'Lark House', 'Marrow Quay', 'Signal Brae 3', 'Lark pool', 6.5, 4.2, 1.1, 24, 'some'],
  ['Bram Ottersley', 'Kelp Cottage', 'Marrow Quay', 'Net Loft 8', 'Walled pool', 4.2, 3, 0.9, 12, 'none'],
  ['Harbour Guild', 'Guild Hall', 'Marrow Quay', 'Capstan Row', 'Guild basin', 7.5, 3.5, 0.8, 30, 'none'],
  ['Isolde Penhallon', 'Gannet End', 'Marrow Quay', 'Cliff Walk 21', 'Cliff pond', 5.4, 3.6, 1, 16, 'some'],
  ['Corin Ashgrove', 'Sallow Mill', 'Upper Sallow', 'Mill Lane 2', 'Mill pond', 11, 6, 1.4, 60, 'many'],
  ['Sallow Parish', 'Parish garden', 'Upper Sallow', 'Church Rise', 'Parish pond', 6, 4, 0.9, 18, 'many'],
  ['Greta Wolstan', 'Hazel Bank', 'Upper Sallow', 'Hazel Bank 5', 'Hazel pond', 5, 3.4, 1, 14, 'many'],
  ['Rufus Tamble', 'Bellwether', 'Upper Sallow', 'Drove Head 1', 'Sheepwash', 8, 4.5, 0.9, 0, 'some'],
  ['Tinker’s Works', 'Works canteen', 'Tinker’s Reach', 'Foundry Street', 'Canteen pond', 9, 5, 1.1, 40, 'none'],
  ['Odile Marchant', 'Sixpenny House', 'Tinker’s Reach', 'Sixpenny Row 6', 'Sixpenny pool', 4.6, 3.2, 0.9, 10, 'some'],
  ['Per Holmstrand', 'Boathouse', 'Tinker’s Reach', 'Slipway 14', 'Slip pond', 6.8, 4.4, 1.2, 28, 'some'],
  ['Reach Bowls Club', 'Bowls green', 'Tinker’s Reach', 'Green Side', 'Club pond', 7, 4, 1, 22, 'none'],
  ['Ash Common Inn', 'Common Inn', 'Cold Ash Common', 'Drovers’ Cross', 'Inn pond', 8.5, 5, 1.2, 36, 'some'],
  ['Ulric Thornby', 'Fell Farm', 'Cold Ash Common', 'Fell Road 9', 'Yard dew pond', 10, 7, 1.3, 0, 'none'],
  ['Maude Ketteridge', 'Thimble Hall', 'Cold Ash Common', 'Thimble Lane', 'Thimble pond', 5.8, 4, 1.1, 20, 'many'],
  ['Lowen Carew', 'Weir House', 'Ferrygate', 'Weir Steps 4', 'Weir garden pond', 7.2, 4.8, 1.2, 32, 'many'],
  ['Ferry Company', 'Ferry offices', 'Ferrygate', 'Toll Square', 'Toll basin', 6, 3, 0.7, 15, 'none'],
  ['Sabeth Orme', 'Lantern Row', 'Ferrygate', 'Lantern Row 11', 'Row pond', 4.4, 3, 0.9, 12, 'some'],
  ['Ede Marlowe', 'Osier Bank', 'Ferrygate', 'Osier Bank 2', 'Osier pond', 6.4, 4.2, 1, 18, 'many'],
  ['Plover Nursery', 'Plant nursery', 'Plover Green', 'Glasshouse Way', 'Stock pond', 12, 6, 1, 0, 'none'],
  ['Jory Penrose', 'Dune End', 'Plover Green', 'Dune End 7', 'Dune pool', 5, 3.6, 1, 16, 'none'],
  ['Wynne Abbot', 'Chantry', 'Plover Green', 'Chantry Close', 'Chantry pond', 6.6, 4.4, 1.1, 26, 'some'],
  ['Tamsin Grayling', 'Saltings', 'Plover Green', 'Saltings 1', 'Saltings pool', 5.6, 3.8, 1, 20, 'none'],
  ['Ferrygate Library', 'Reading garden', 'Ferrygate', 'Toll Square 6', 'Reading pond', 6.2, 3.2, 0.8, 14, 'some'],
]

/** Second ponds at some of these sites: name, long and wide, depth, goldfish. */
const SECOND: Readonly<Record<string, readonly [string, number, number, number, number]>> = {
  'Sallow Mill': ['Tail pool', 5, 3, 0.8, 10],
  'Common Inn': ['Yard trough', 2.4, 1.1, 0.6, 4],
  'Plant nursery': ['Sales basin', 4, 2.5, 0.7, 18],
  'Weir House': ['Upper basin', 3.6, 2.4, 0.8, 8],
  'Thimble Hall': ['Kitchen pond', 3.2, 2.6, 0.9, 6],
  Boathouse: ['Dock basin', 4.5, 2.2, 1, 12],
}

/** Sites that let nobody in at any hour. */
const HOURS: Readonly<Record<string, DemoSite['hours']>> = {
  'Works canteen': { opens: '07:00', closes: '10:30' },
  'Bowls green': { closedDays: ['wed', 'sat', 'sun'] },
  'Guild Hall': { closedDays: ['mon'] },
  'Common Inn': { closes: '11:00' },
}

function secondPond(site: string, town: string, trees: Row[9]) {
  const second = SECOND[site]
  if (!second) return []
  const [name, lengthM, widthM, depthM, goldfish] = second
  return [
    pond(`${site.toLowerCase().replaceAll(' ', '-')}-2`, name, {
      use: 'few-small-fish',
      outline: { kind: 'ellipse', lengthM, widthM },
      zones: [zone('Basin', depthM, 1, 0.2)],
      fish: [fish('goldfish', goldfish, 0.11)],
      altitudeM: HEIGHT[town],
      trees,
    }),
  ]
}

/** The everyday customers of the firm: no stories, only work. */
export const MORE_SITES: readonly DemoSite[] = ROWS.map(
  ([customer, site, town, address, name, lengthM, widthM, depthM, goldfish, trees]) => {
    const pondUse = () => {
      if (goldfish === 0) return 'wildlife'
      if (goldfish > 20) return 'many-fish'
      return 'few-small-fish'
    }

    return {
      customer,
      site,
      address,
      town,
      stationId: STATION[town]!,
      access: '',
      hours: HOURS[site],
      ponds: [
        pond(site.toLowerCase().replaceAll(' ', '-'), name, {
          use: pondUse(),
          outline: { kind: 'ellipse', lengthM, widthM },
          zones: [zone('Shelf', 0.35, 1, 0.3), zone('Deep', depthM, 0.55, 0.2)],
          fish: goldfish === 0 ? [] : [fish('goldfish', goldfish, 0.13)],
          altitudeM: HEIGHT[town],
          trees,
        }),
        ...secondPond(site, town, trees),
      ],
    }
  },
)
