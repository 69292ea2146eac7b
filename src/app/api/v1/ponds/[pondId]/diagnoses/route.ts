import { z } from 'zod'
import { DiagnosisInput } from '@/domain/diagnosis'
import { PondId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { actOnDiagnosis } from '@/server/use-cases/lab/diagnosis'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: DiagnosisInput }, ({ actor, path, body }) =>
  actOnDiagnosis(actor, path.pondId, body),
)
