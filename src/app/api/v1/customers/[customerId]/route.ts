import { z } from 'zod'
import { CustomerInput } from '@/domain/customers/customer'
import { version } from '@/domain/shared/fields'
import { CustomerId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { changeCustomer } from '@/server/customers/customers'

export const PUT = signedInRoute(
  { path: z.object({ customerId: CustomerId }), body: z.strictObject({ version, customer: CustomerInput }) },
  ({ actor, path, body }) => changeCustomer(actor, path.customerId, body.version, body.customer),
)
