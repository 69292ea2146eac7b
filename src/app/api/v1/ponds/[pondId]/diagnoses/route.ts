import { z } from 'zod'
import { DiagnosisInput } from '@/domain/diagnosis/diagnosis'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { actOnDiagnosis } from '@/server/diagnosis/diagnosis'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: DiagnosisInput },
  ({ actor, path, body }) => actOnDiagnosis(actor, path.pondId, body),
)
