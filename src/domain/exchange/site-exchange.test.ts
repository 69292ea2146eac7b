import fc from 'fast-check'
import { ALWAYS_OPEN, type Site } from '../customers/customer'
import { readSitesCsv, readSitesGeoJson, sitesCsv, sitesGeoJson, withCustomer } from './site-exchange'
import { withEnglish } from '../../../tests/fixtures/in-words'

const STATION = 'ferrygate'
const words = fc.constantFrom(
  'Mill garden',
  'Key under the pot; dog is kind',
  '=gate code 12',
  '- ring twice',
  '“The Reeves”, north',
  'Zoë’s',
)
const site = fc.record({
  name: words,
  address: words,
  town: words,
  accessNotes: fc.oneof(words, fc.constant('')),
  place: fc.option(
    fc.record({
      lat: fc.double({ min: -89, max: 89, noNaN: true }),
      lon: fc.double({ min: -179, max: 179, noNaN: true }),
    }),
  ),
  hours: fc.boolean(),
  customerName: words,
})
const made = fc.array(site, { minLength: 1, maxLength: 5 }).map((all) =>
  all.map(({ place, hours, customerName, name, ...rest }, i) => ({
    ...rest,
    // a site stands once in a file
    name: `${name} ${i}`,
    email: i % 2 ? 'post@reeve.example' : '',
    phone: i % 2 ? '' : '0123 456',
    ...ALWAYS_OPEN,
    ...(hours ? { opens: '07:30', closes: '16:00', closedDays: ['mon', 'sat'] as Site['closedDays'] } : {}),
    lat: place ? Number(place.lat.toFixed(5)) + 0 : null,
    lon: place ? Number(place.lon.toFixed(5)) + 0 : null,
    stationId: 'plover-green',
    id: `s${i}` as Site['id'],
    customerId: 'c' as Site['customerId'],
    version: 1,
    customerName,
  })),
)
const inputOf = ({
  id: _i,
  customerId: _c,
  version: _v,
  customerName,
  email,
  phone,
  ...input
}: Site & { customerName: string; email: string; phone: string }) => ({
  customer: customerName,
  email,
  phone,
  site: input,
})

describe('sites of a file', () => {
  it('come back from CSV as they went out', () =>
    fc.assert(
      fc.property(made, (sites) => {
        const { rows, problems } = readSitesCsv(sitesCsv(sites as never), STATION)
        expect(problems).toEqual([])
        expect(rows.map(({ customer, email, phone, site }) => ({ customer, email, phone, site }))).toEqual(
          sites.map((s) => inputOf(s as never)),
        )
      }),
    ))
  it('come back from GeoJSON, those that have a place', () =>
    fc.assert(
      fc.property(made, (sites) => {
        const { rows, problems } = readSitesGeoJson(JSON.stringify(sitesGeoJson(sites as never)), STATION)
        expect(problems).toEqual([])
        expect(rows.map(({ customer, email, phone, site }) => ({ customer, email, phone, site }))).toEqual(
          sites.filter((s) => s.lat !== null).map((s) => inputOf(s as never)),
        )
      }),
    ))
  it('stand at the given station when the file names none, and a decimal comma is a comma', () => {
    const { rows } = readSitesCsv('customer;site;lat;lon\nReeve;Pool;45,25;-45,5', STATION)
    expect(rows).toMatchObject([
      {
        line: 2,
        customer: 'Reeve',
        site: { name: 'Pool', stationId: STATION, lat: 45.25, lon: -45.5, schoolHolidays: 'any' },
      },
    ])
  })
  it.each([
    ['no customer', 'customer,site\n,Pool', 2, /customer: missing/],
    ['half a place', 'customer,site,lat,lon\nReeve,Pool,45,', 2, /lon: A place on the map needs both/],
    ['hours the wrong way round', 'customer,site,opens,closes\nReeve,Pool,16:00,08:00', 2, /closing time is before/],
    ['a missing column', 'site\nPool', 1, /lacks customer/],
  ])('with %s are named by their line', (_, csv, line, message) => {
    const { rows, problems } = readSitesCsv(csv, STATION)
    expect(rows).toEqual([])
    expect(withEnglish(problems)).toMatchObject([{ line, message: expect.stringMatching(message) }])
  })
  it.each([
    ['no JSON', '{', /not JSON/],
    ['another JSON', '[1,2]', /not a GeoJSON feature collection/],
    ['no features', '{"type":"FeatureCollection"}', /not a GeoJSON feature collection/],
  ])('are refused when the file is %s', (_, text, message) =>
    expect(withEnglish(readSitesGeoJson(text, STATION).problems)).toEqual([
      { line: 1, message: expect.stringMatching(message) },
    ]),
  )
  it('go out with their customers’ names', () =>
    expect(
      withCustomer([{ id: 's', customerId: 'c' } as never], [{ id: 'c', name: 'The Reeves' } as never])[0]!
        .customerName,
    ).toBe('The Reeves'))
})
