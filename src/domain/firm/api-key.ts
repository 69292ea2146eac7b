import { z } from 'zod'
import { shortText } from '../shared/fields'
import { said } from '../shared/said'

/** What a key may do. */
export const KEY_SCOPES = ['readings', 'calc'] as const
export type KeyScope = (typeof KEY_SCOPES)[number]

export const ApiKeyInput = z.strictObject({
  name: shortText('firm.fields.name', 60),
  scope: z.enum(KEY_SCOPES, { error: said('firm.problems.chooseWhatKey') }),
})
export type ApiKeyInput = z.infer<typeof ApiKeyInput>

export interface ApiKey extends ApiKeyInput {
  readonly id: string
  readonly madeAt: string
  readonly usedAt: string | null
}

/** Requests that a key may make in a minute. */
export const KEY_LIMIT = { perMinute: 120 } as const

const number = z.number().finite()
/**
 * A SenML pack as JSON: unknown labels that begin with an underscore must be understood, so they are refused; others
 * are passed over.
 */
export const SenmlPack = z
  .array(
    z.looseObject({
      bn: z.string().max(200).optional(),
      bt: number.optional(),
      bu: z.string().max(20).optional(),
      bv: number.optional(),
      n: z.string().max(200).optional(),
      u: z.string().max(20).optional(),
      v: z.number().optional(),
      t: number.optional(),
    }),
  )
  .min(1, { error: said('firm.problems.packEmpty') })
  .max(1000, { error: said('firm.problems.mostRecordsOnce') })
