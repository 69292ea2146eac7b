import { z } from 'zod'
import { CustomerId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { endCustomerLink, makeCustomerLink } from '@/server/customers/customer-page'

const path = z.object({ customerId: CustomerId })

export const POST = signedInRoute({ path }, ({ actor, path }) => makeCustomerLink(actor, path.customerId))
export const DELETE = signedInRoute({ path }, ({ actor, path }) => endCustomerLink(actor, path.customerId))
