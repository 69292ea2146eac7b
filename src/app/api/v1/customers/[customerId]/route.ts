import { z } from 'zod'
import { CustomerInput } from '@/domain/customer'
import { version } from '@/domain/fields'
import { CustomerId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { changeCustomer } from '@/server/use-cases/customers'

export const PUT = signedInRoute(
  { path: z.object({ customerId: CustomerId }), body: z.strictObject({ version, customer: CustomerInput }) },
  ({ actor, path, body }) => changeCustomer(actor, path.customerId, body.version, body.customer),
)
