import { z } from 'zod'
import { version } from '@/domain/fields'
import { HousePractice } from '@/domain/practice'
import { setPractice } from '@/server/use-cases/firm'
import { signedInRoute } from '@/server/http/route'

export const PUT = signedInRoute({ body: z.strictObject({ version, practice: HousePractice }) }, ({ actor, body }) =>
  setPractice(actor, body.version, body.practice),
)
