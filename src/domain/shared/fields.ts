import { z } from 'zod'

/** A finite number in an inclusive range, with the mend in words. */
export const numberWithin = ([least, most]: readonly [number, number], noun: string, unit: string) => {
  const error = `${noun} must be between ${least} and ${most}${unit ? ` ${unit}` : ''}.`
  return z
    .number({ error: (issue) => (issue.input === undefined ? `${noun} is missing.` : error) })
    .min(least, { error })
    .max(most, { error })
}

export const shortText = (noun: string, most = 120) =>
  z
    .string({ error: `${noun} is missing.` })
    .trim()
    .min(1, { error: `${noun} is missing.` })
    .max(most, { error: `${noun} may be at most ${most} characters.` })

export const optionalText = (noun: string, most = 2000) =>
  z
    .string()
    .trim()
    .max(most, { error: `${noun} may be at most ${most} characters.` })
    .default('')

/** Years that a day of this work can lie in; databases and calendars know no year nought. */
const YEARS = { from: '1900', to: '2199' } as const

export const calendarDay = z
  .string({ error: 'A day is missing.' })
  .regex(/^\d{4}-\d{2}-\d{2}$/, { error: 'The day must look like 2027-04-09.' })
  .refine(
    (text) =>
      !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) && new Date(`${text}T00:00:00Z`).toISOString().startsWith(text),
    {
      error: 'That day does not exist.',
    },
  )
  .refine((text) => text.slice(0, 4) >= YEARS.from && text.slice(0, 4) <= YEARS.to, {
    error: `The year must lie between ${YEARS.from} and ${YEARS.to}.`,
  })

export const version = z.int().min(1)
