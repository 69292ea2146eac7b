import { z } from 'zod'
import { NoticeTemplates } from '@/domain/notice'
import { signedInRoute } from '@/server/http/route'
import { setTemplates } from '@/server/use-cases/notices'

export const PUT = signedInRoute({ body: z.strictObject({ version: z.int().min(0), templates: NoticeTemplates }) }, ({ actor, body }) =>
  setTemplates(actor, body.version, body.templates),
)
