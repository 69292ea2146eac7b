import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { PondId } from '@/domain/shared/ids'
import { SiteSurveyInput } from '@/domain/survey/site-survey'
import { signedInRoute } from '@/server/platform/http/route'
import { saveSiteSurvey } from '@/server/survey/site-survey'

export const PUT = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ version, siteSurvey: SiteSurveyInput }) },
  ({ actor, path, body }) => saveSiteSurvey(actor, path.pondId, body.version, body.siteSurvey),
)
