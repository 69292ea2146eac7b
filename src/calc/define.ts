import { z } from 'zod'

/** One calculation of the contract: a name outsiders rely on, its schemas and the call into the core. */
export interface Calculation<Input extends z.ZodType = z.ZodType, Output extends z.ZodType = z.ZodType> {
  readonly name: string
  readonly summary: string
  readonly input: Input
  readonly output: Output
  readonly run: (input: z.output<Input>) => z.input<Output> | Promise<z.input<Output>>
}

export const defineCalculation = <Input extends z.ZodType, Output extends z.ZodType>(
  calculation: Calculation<Input, Output>,
): Calculation => calculation as unknown as Calculation

/** A finite number in an inclusive range. */
export const numberIn = ([min, max]: readonly [number, number], description?: string) => {
  const schema = z.number().min(min).max(max)
  return description ? schema.describe(description) : schema
}

/** Protein of a feed: as a fraction (0.35), or as the percentage printed on the bag (35). */
export const protein = z
  .number()
  .refine(
    (value) => (value >= 0.05 && value <= 0.7) || (value >= 5 && value <= 70),
    'must be a fraction between 0.05 and 0.7, or a percentage between 5 and 70',
  )
  .transform((value) => (value > 1 ? value / 100 : value))
  .describe('protein of the feed: fraction (0.35) or percent (35)')

export const isoDay = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2026-04-09')
  .refine(
    (text) =>
      !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) && new Date(`${text}T00:00:00Z`).toISOString().startsWith(text),
    'is not a real calendar day',
  )
