import { z } from 'zod'
import { NoticeTemplates } from '@/domain/messages/notice'
import { signedInRoute } from '@/server/platform/http/route'
import { setTemplates } from '@/server/messages/notices'

export const PUT = signedInRoute(
  { body: z.strictObject({ version: z.int().min(0), templates: NoticeTemplates }) },
  ({ actor, body }) => setTemplates(actor, body.version, body.templates),
)
