import { z } from 'zod'
import { OutcomeInput } from '@/domain/diagnosis'
import { DiagnosisId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { sayOutcome } from '@/server/use-cases/lab/diagnosis'

export const PUT = signedInRoute({ path: z.object({ diagnosisId: DiagnosisId }), body: OutcomeInput }, ({ actor, path, body }) =>
  sayOutcome(actor, path.diagnosisId, body.outcome),
)
