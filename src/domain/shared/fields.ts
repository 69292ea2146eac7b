import { z } from 'zod'
import type { TextKey } from '@/messages/keys'
import { said } from './said'

const missing = (noun: TextKey) => said('kit.fields.missing', { noun: { text: noun } })
const tooLong = (noun: TextKey, max: number) => said('kit.fields.tooLong', { noun: { text: noun }, most: max })

/** Signs that are the same in every language; a unit that is a word is the address of its text. */
export type UnitSign =
  | ''
  | '%'
  | '°'
  | '°C'
  | '°dH'
  | 'g/m³'
  | 'h'
  | 'K'
  | 'kg'
  | 'L'
  | 'm'
  | 'm²'
  | 'm³'
  | 'm³/h'
  | 'mg/L'
  | 'min'
  | 'mm'
  | 's'
  | 'µm'
  | 'W'

/** A finite number in an inclusive range, with the mend. @param noun what it is called at the start of a sentence */
export const numberWithin = (
  [from, to]: readonly [number, number],
  noun: TextKey,
  unit: UnitSign | { readonly text: TextKey },
) => {
  const error = said(unit ? 'kit.fields.betweenUnit' : 'kit.fields.between', {
    noun: { text: noun },
    from,
    to,
    unit,
  })
  return z
    .number({ error: (issue) => (issue.input === undefined ? missing(noun) : error) })
    .min(from, { error })
    .max(to, { error })
}

export const shortText = (noun: TextKey, max = 120) =>
  z
    .string({ error: missing(noun) })
    .trim()
    .min(1, { error: missing(noun) })
    .max(max, { error: tooLong(noun, max) })

export const optionalText = (noun: TextKey, max = 2000) =>
  z
    .string()
    .trim()
    .max(max, { error: tooLong(noun, max) })
    .default('')

/** Years that a day of this work can lie in; databases and calendars know no year nought. */
const YEARS = { from: '1900', to: '2199' } as const

export const calendarDay = z
  .string({ error: said('kit.fields.dayMissing') })
  .regex(/^\d{4}-\d{2}-\d{2}$/, { error: said('kit.fields.dayShape') })
  .refine(
    (text) =>
      !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) && new Date(`${text}T00:00:00Z`).toISOString().startsWith(text),
    { error: said('kit.fields.noSuchDay') },
  )
  .refine((text) => text.slice(0, 4) >= YEARS.from && text.slice(0, 4) <= YEARS.to, {
    error: said('kit.fields.yearRange', YEARS),
  })

export const version = z.int().min(1)
