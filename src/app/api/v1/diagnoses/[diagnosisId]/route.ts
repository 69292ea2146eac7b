import { z } from 'zod'
import { OutcomeInput } from '@/domain/diagnosis/diagnosis'
import { DiagnosisId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { sayOutcome } from '@/server/diagnosis/diagnosis'

export const PUT = signedInRoute(
  { path: z.object({ diagnosisId: DiagnosisId }), body: OutcomeInput },
  ({ actor, path, body }) => sayOutcome(actor, path.diagnosisId, body.outcome),
)
