import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { HousePractice } from '@/domain/house-rules/house-rules'
import { setPractice } from '@/server/firm/firm'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute({ body: z.strictObject({ version, practice: HousePractice }) }, ({ actor, body }) =>
  setPractice(actor, body.version, body.practice),
)
