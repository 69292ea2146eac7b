import { z } from 'zod'
import { SiteInput } from '@/domain/customer'
import { version } from '@/domain/fields'
import { SiteId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { changeSite } from '@/server/use-cases/customers'

export const PUT = signedInRoute({ path: z.object({ siteId: SiteId }), body: z.strictObject({ version, site: SiteInput }) }, ({ actor, path, body }) =>
  changeSite(actor, path.siteId, body.version, body.site),
)
