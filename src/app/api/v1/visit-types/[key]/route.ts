import { z } from 'zod'
import { OwnVisitType } from '@/domain/visits/own-visit-type'
import { signedInRoute } from '@/server/platform/http/route'
import { saveVisitType } from '@/server/visits/own-visit-types'

const Body = z.strictObject({ version: z.int().min(0), job: OwnVisitType.nullable() })

/** The firm's own steps of a visit type; null goes back to the usual ones. */
export const PUT = signedInRoute({ path: z.object({ key: z.string().max(40) }), body: Body }, ({ actor, path, body }) =>
  saveVisitType(actor, path.key, body.version, body.job),
)
