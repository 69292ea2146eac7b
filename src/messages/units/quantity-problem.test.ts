import { parseQuantity } from '@/core/units/parse'
import { textsIn } from '../texts'
import { quantityProblemWords } from './quantity-problem'

const t = textsIn('en')

describe('a quantity that cannot be read', () => {
  it.each([
    ["12'", 'volume', "“'” measures a length; this field needs a volume, such as 900 gal or 3.4 m³."],
    ['12 furlongs', 'length', '“furlongs” is not a unit known here. Type a length, such as 12 ft 6 in or 3.8 m.'],
    ['', 'length', 'Enter a length, such as 12 ft 6 in or 3.8 m.'],
    ['deep', 'length', '“deep” cannot be read as a length. Type it like 12 ft 6 in or 3.8 m.'],
    ['1.2.3 m', 'length', '“1.2.3 m” cannot be read as a length. Type it like 12 ft 6 in or 3.8 m.'],
    ['NaN', 'flow', '“NaN” cannot be read as a flow. Type it like 20 gpm or 4.5 m³/h.'],
    ['1e400 m', 'length', '“1e400 m” cannot be read as a length. Type it like 12 ft 6 in or 3.8 m.'],
  ] as const)('refuses %p as %s in words', (text, kind, message) => {
    const parsed = parseQuantity(text, kind, 'metric')
    expect(parsed.ok ? 'accepted' : quantityProblemWords(parsed.problem, kind, t)).toBe(message)
  })
})
