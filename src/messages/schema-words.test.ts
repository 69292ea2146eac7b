import { HouseRules } from '@/domain/house-rules/house-rules'
import { z } from 'zod'
import { said } from '@/domain/shared/said'
import { zodFields } from './problem-body'
import { textsIn } from './texts'

const t = textsIn('en')
const wordsOf = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value)
  return read.success ? [] : zodFields(read.error, t).map(({ message }) => message)
}

describe('what a schema finds wrong', () => {
  it.each([
    ['a missing text', z.string(), undefined, 'Enter a text.'],
    ['a text in place of a figure', z.number(), 'many', 'Enter a number.'],
    ['a part of a whole', z.int(), 1.5, 'Enter a whole number.'],
    ['a list that is none', z.array(z.string()), {}, 'Enter a list.'],
    ['a body that is none', z.object({}), undefined, 'Enter an object.'],
    ['a short text', z.string().min(3), 'a', 'At least 3 characters are needed.'],
    ['a long list', z.array(z.number()).max(1), [1, 2], 'At most 1 entry.'],
    ['a small figure', z.number().min(2), 1, 'At least 2.'],
    ['a code that is none', z.enum(['a', 'b']), 'c', 'Choose one of: a, b.'],
    ['a name too many', z.strictObject({}), { extra: 1 }, 'Not known here: extra.'],
    ['an address that is none', z.uuid(), 'x', 'This cannot be read as uuid.'],
    ['an odd step', z.number().multipleOf(5), 7, 'Enter a multiple of 5.'],
    ['one of several shapes', z.union([z.number(), z.boolean()]), 'x', 'Something in the input is wrong.'],
  ] as const)('%s is said in the reader’s words', (_, schema, value, message) =>
    expect(wordsOf(schema, value)).toEqual([message]),
  )
  it('is said as the schema says it, where it does', () => {
    const own = z.string().min(1, { error: said('people.problems.enterYourPassword') })
    expect(wordsOf(own, '')).toEqual([t('people.problems.enterYourPassword')])
  })
})

describe('a figure out of range', () => {
  it('is told with its range, the unit a sign or a word', () => {
    expect(wordsOf(HouseRules, { growthYears: 99, cleanoutMaxWaterC: 90 })).toEqual([
      expect.stringMatching(/ must be between 0 and 20 years\.$/),
      expect.stringMatching(/ must be between 0 and 30 °C\.$/),
    ])
    expect(wordsOf(HouseRules, { growthYears: 20, cleanoutMaxWaterC: 30 })).toEqual([])
  })
})
