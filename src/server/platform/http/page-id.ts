import 'server-only'
import { notFound } from 'next/navigation'
import type { z } from 'zod'

/** An id from a page's address; text that is no id at all leads to the 404 page. */
export function idFrom<Schema extends z.ZodType>(schema: Schema, text: string): z.output<Schema> {
  const parsed = schema.safeParse(text)
  if (!parsed.success) notFound()
  return parsed.data
}
