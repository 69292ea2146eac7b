import { toNestErrors } from '@hookform/resolvers'
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form'
import type { z } from 'zod'
import { zodFields } from '@/messages/problem-body'
import type { Texts } from './texts'

/** Checks a form by the schema that the server checks by, and says what is wrong in the reader's words. */
export const schemaResolver =
  <Values extends FieldValues, Output>(
    schema: z.ZodType<Output, Values>,
    t: Texts,
  ): Resolver<Values, unknown, Output> =>
  async (values, _context, options) => {
    const read = await schema.safeParseAsync(values)
    if (read.success) return { values: read.data, errors: {} }
    const errors = Object.fromEntries(
      // the first that is wrong with a field is the one to mend
      zodFields(read.error, t)
        .reverse()
        .map(({ path, message }) => [path, { type: 'schema', message }]),
    ) as FieldErrors<Values>
    return { values: {}, errors: toNestErrors<Values>(errors, options) }
  }
