import type { z } from 'zod'
import { isSaid, saidWords } from './said'
import type { Texts } from './texts'

type Issue = z.core.$ZodIssue
type Sized = Extract<Issue, { code: 'too_small' | 'too_big' }>

/** What is counted: characters of a text, entries of a list, or the figure itself. */
function countedIn({ origin }: Sized): 'characters' | 'entries' | 'figure' {
  if (origin === 'string') return 'characters'
  return origin === 'array' || origin === 'set' || origin === 'map' ? 'entries' : 'figure'
}

const TYPES = ['string', 'number', 'int', 'boolean', 'array', 'object', 'date', 'null'] as const
const typeName = (expected: string, t: Texts): string => {
  const known = TYPES.find((type) => type === expected)
  return known ? t(`kit.schemaTypes.${known}`) : expected
}

/** What a schema finds wrong, in words: its own where it gives some, else by what it found. */
export function issueWords(issue: Issue, t: Texts): string {
  if (isSaid(issue.message)) return saidWords(issue.message, t)
  switch (issue.code) {
    case 'invalid_type':
      return t('kit.schema.invalidType', { expected: typeName(issue.expected, t) })
    case 'too_small':
      return t(`kit.schemaLeast.${countedIn(issue)}`, { least: Number(issue.minimum) })
    case 'too_big':
      return t(`kit.schemaMost.${countedIn(issue)}`, { most: Number(issue.maximum) })
    case 'invalid_value':
      return t('kit.schema.invalidValue', { values: issue.values.map(String).join(', ') })
    case 'unrecognized_keys':
      return t('kit.schema.unknownKeys', { keys: issue.keys.join(', ') })
    case 'invalid_format':
      return t('kit.schema.invalidFormat', { format: issue.format })
    case 'not_multiple_of':
      return t('kit.schema.notMultipleOf', { divisor: issue.divisor })
    case 'custom':
      return issue.message
    case 'invalid_union':
    case 'invalid_key':
    case 'invalid_element':
      return t('kit.problems.inputNotRight')
  }
}
