import { toNestErrors } from '@hookform/resolvers'
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form'
import type { z } from 'zod'
import { zodFields } from '@/messages/problem-body'
import type { Texts } from './texts'

/**
 * Checks a form by the schema that the server checks by, and says what is wrong in the reader's words.
 * @param bodyOf what is sent of the form's values
 */
export const schemaResolver =
  <Values extends FieldValues, Output>(
    schema: z.ZodType<Output>,
    t: Texts,
    bodyOf: (values: Values) => unknown = (values) => values,
  ): Resolver<Values, unknown, Values> =>
  async (values, _context, options) => {
    const read = await schema.safeParseAsync(bodyOf(values))
    if (read.success) return { values, errors: {} }
    const errors = Object.fromEntries(
      // the first that is wrong with a field is the one to mend
      zodFields(read.error, t)
        .reverse()
        .map(({ path, message }) => [path, { type: 'schema', message }]),
    ) as FieldErrors<Values>
    return { values: {}, errors: toNestErrors<Values>(errors, options) }
  }
