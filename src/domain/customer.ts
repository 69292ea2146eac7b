import { z } from 'zod'
import { numberWithin, optionalText, shortText } from './fields'
import { CustomerId, SiteId } from './ids'
import { PondInput } from './pond'

export const CustomerInput = z.strictObject({
  name: shortText('Customer name'),
  email: z.union([z.literal(''), z.email({ error: 'The e-mail address is not complete.' })]).default(''),
  phone: optionalText('Phone', 40),
})
export type CustomerInput = z.infer<typeof CustomerInput>

export const SiteInput = z.strictObject({
  name: shortText('Site name'),
  address: optionalText('Address', 200),
  town: optionalText('Town', 80),
  accessNotes: optionalText('Access notes', 500),
  /** Weather station that this site follows; the height difference is corrected per pond. */
  stationId: shortText('Weather station', 40),
  /** Place on the map; both or neither. */
  lat: numberWithin([-90, 90], 'Latitude', '°').nullable().default(null),
  lon: numberWithin([-180, 180], 'Longitude', '°').nullable().default(null),
})
export type SiteInput = z.infer<typeof SiteInput>

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
