import { z } from 'zod'
import { SiteInput } from '@/domain/customers/customer'
import { version } from '@/domain/shared/fields'
import { SiteId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { changeSite } from '@/server/customers/customers'

export const PUT = signedInRoute(
  { path: z.object({ siteId: SiteId }), body: z.strictObject({ version, site: SiteInput }) },
  ({ actor, path, body }) => changeSite(actor, path.siteId, body.version, body.site),
)
