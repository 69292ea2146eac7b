import { z } from 'zod'
import { UNTESTED_FILL } from '../../core/water/fill-water'
import { READING_KINDS, type ReadingKindName } from '../../core/water/readings'
import type { TextKey } from '../../messages/keys'
import { calendarDay, numberWithin, optionalText, shortText, type UnitSign } from '../shared/fields'
import { CustomerId, SiteId } from '../shared/ids'
import { PondInput } from '../ponds/pond'
import { said } from '../shared/said'

export const CustomerInput = z.strictObject({
  name: shortText('customers.fields.customerName'),
  email: z.union([z.literal(''), z.email({ error: said('kit.problems.eMailAddressComplete') })]).default(''),
  phone: optionalText('customers.fields.phone', 40),
})
export type CustomerInput = z.infer<typeof CustomerInput>

/** Days of the week, Monday first, as closed days are kept. */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const

const openingHour = z.union([
  z.literal(''),
  z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: said('kit.problems.timeMustLookLike') }),
])

/** Days on which a customer wants nobody. */
const Blackout = z
  .strictObject({ from: calendarDay, to: calendarDay, note: optionalText('customers.fields.why', 120) })
  .refine((b) => b.from <= b.to, { path: ['to'], error: said('kit.problems.endsBeforeBegins') })

/** Schools want the work done while the children are away; a camp site does not. */
const SCHOOL_HOLIDAYS = ['any', 'only', 'never'] as const

/** A figure of the fill water; what a device or a file of an earlier version does not know of was not tested. */
const ofFill = (kind: ReadingKindName, field: TextKey, unit: UnitSign = 'mg/L') =>
  numberWithin(READING_KINDS[kind].possible, field, unit).nullable().default(null)

const SiteFields = z.strictObject({
  name: shortText('customers.fields.siteName'),
  address: optionalText('customers.fields.address', 200),
  town: optionalText('customers.fields.town', 80),
  accessNotes: optionalText('customers.fields.accessNotes', 500),
  /** Weather station that this site follows; the height difference is corrected per pond. */
  stationId: shortText('customers.fields.weatherStation', 40),
  /** Place on the map; both or neither. */
  lat: numberWithin([-90, 90], 'customers.fields.latitude', '°').nullable().default(null),
  lon: numberWithin([-180, 180], 'customers.fields.longitude', '°').nullable().default(null),
  /** Work may begin from and until here; empty: whenever the crew works. */
  opens: openingHour.default(''),
  closes: openingHour.default(''),
  closedDays: z.array(z.enum(WEEKDAYS)).max(7).default([]),
  blackouts: z.array(Blackout).max(60).default([]),
  /** What runs into the ponds here, as last tested. */
  fill: z
    .strictObject({
      ph: ofFill('tapPh', 'customers.fields.phOfTheFillWater', ''),
      khDH: ofFill('tapKh', 'customers.fields.khOfTheFillWater', '°dH'),
      ghDH: ofFill('gh', 'customers.fields.ghOfTheFillWater', '°dH'),
      nitrateMgL: ofFill('nitrate', 'customers.fields.nitrateOfTheFillWater'),
      phosphateMgL: ofFill('orthophosphate', 'customers.fields.phosphateOfTheFillWater'),
      chlorineMgL: ofFill('tapChlorine', 'customers.fields.chlorineOfTheFillWater'),
      chloramineMgL: ofFill('tapChloramine', 'customers.fields.chloramineOfTheFillWater'),
    })
    .refine(({ chlorineMgL, chloramineMgL }) => chlorineMgL === null || (chloramineMgL ?? 0) <= chlorineMgL, {
      path: ['chloramineMgL'],
      error: said('customers.problems.moreChloramineThanChlorine'),
    })
    .default(UNTESTED_FILL),
  /** Whether visits are wanted in school holidays. */
  schoolHolidays: z.enum(SCHOOL_HOLIDAYS).default('any'),
})

export const SiteInput = SiteFields.superRefine((site, context) => {
  if (context.issues.length > 0) return
  if ((site.lat === null) !== (site.lon === null))
    context.addIssue({
      code: 'custom',
      path: [site.lat === null ? 'lat' : 'lon'],
      message: said('customers.problems.placeMapNeedsBothLatitude'),
    })
  if (site.opens && site.closes && site.opens >= site.closes)
    context.addIssue({ code: 'custom', path: ['closes'], message: said('customers.problems.closesBeforeOpens') })
})
export type SiteInput = z.infer<typeof SiteInput>

/** A site that never closes, and whose water nobody has tested yet. */
export const ALWAYS_OPEN: Pick<SiteInput, 'opens' | 'closes' | 'closedDays' | 'blackouts' | 'schoolHolidays' | 'fill'> =
  {
    fill: UNTESTED_FILL,
    opens: '',
    closes: '',
    closedDays: [],
    blackouts: [],
    schoolHolidays: 'any',
  }

/** A new pond with its site and customer: each either chosen from those that exist or entered new. */
export const NewPondInput = z.strictObject({
  customer: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('existing'), id: CustomerId }),
    z.strictObject({ kind: z.literal('new'), customer: CustomerInput }),
  ]),
  site: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('existing'), id: SiteId }),
    z.strictObject({ kind: z.literal('new'), site: SiteInput }),
  ]),
  pond: PondInput,
})
export type NewPondInput = z.infer<typeof NewPondInput>

export interface Customer extends CustomerInput {
  readonly id: CustomerId
  readonly version: number
}

export interface Site extends SiteInput {
  readonly id: SiteId
  readonly customerId: CustomerId
  readonly version: number
}
