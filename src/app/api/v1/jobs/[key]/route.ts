import { z } from 'zod'
import { OwnJob } from '@/domain/visits/own-job'
import { signedInRoute } from '@/server/platform/http/route'
import { saveJob } from '@/server/visits/own-jobs'

const Body = z.strictObject({ version: z.int().min(0), job: OwnJob.nullable() })

/** The firm's own steps of a kind of visit; null goes back to the usual ones. */
export const PUT = signedInRoute({ path: z.object({ key: z.string().max(40) }), body: Body }, ({ actor, path, body }) =>
  saveJob(actor, path.key, body.version, body.job),
)
