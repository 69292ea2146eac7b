import fc from 'fast-check'
import { formatQuantity } from './format'
import { parseQuantity } from './parse'
import { QUANTITY_KINDS, type QuantityKind } from './kinds'

const read = (text: string, kind: QuantityKind, system: 'metric' | 'us' = 'metric') => {
  const parsed = parseQuantity(text, kind, system)
  if (!parsed.ok) throw new Error(parsed.problem.code)
  return parsed.value.value
}

describe('parseQuantity', () => {
  it.each([
    ['12 ft 6 in', 'length', 3.81],
    [`12' 6"`, 'length', 3.81],
    [`12'6`, 'length', 3.81],
    ['3.8 m', 'length', 3.8],
    ['0,5 m', 'length', 0.5],
    ['1 1/2 in', 'length', 0.0381],
    ['3/4"', 'length', 0.01905],
    ['450 gal', 'volume', 1.7034353],
    ['1,200 gal', 'volume', 4.5424941],
    ['2 cu yd', 'volume', 1.5291098],
    ['900 L', 'volume', 0.9],
    ['54 F', 'temperature', 12.2222222],
    ['-3 °C', 'temperature', -3],
    ['4 dKH', 'hardness', 4],
    ['71.392 ppm', 'hardness', 4],
    ['0.25 ppm', 'concentration', 0.25],
    ['20 gpm', 'flow', 4.5424941],
    ['15 m³/h', 'flow', 15],
    ['10 L/min', 'flow', 0.6],
    ['430 sq ft', 'area', 39.9483072],
    ['15 %', 'share', 0.15],
    ['1.5 h', 'time', 90],
    ['1e3', 'length', 1000],
    ['7.4', 'ph', 7.4],
  ] as const)('reads %s as %s', (text, kind, expected) => expect(read(text, kind)).toBeCloseTo(expected, 6))

  it("takes a bare number in the person's own unit", () => {
    expect(read('10', 'length', 'us')).toBeCloseTo(3.048)
    expect(read('10', 'length', 'metric')).toBe(10)
  })

  it.each([
    ["12'", 'volume', { code: 'other-kind', unit: "'", kind: 'volume', foundKind: 'length' }],
    ['12 furlongs', 'length', { code: 'unknown-unit', unit: 'furlongs', kind: 'length' }],
    ['', 'length', { code: 'empty' }],
    ['deep', 'length', { code: 'not-a-number', text: 'deep' }],
    ['1.2.3 m', 'length', { code: 'not-a-number', text: '1.2.3 m' }],
    ['NaN', 'flow', { code: 'not-a-number', text: 'NaN' }],
    ['1e400 m', 'length', { code: 'not-a-number', text: '1e400 m' }],
  ] as const)('refuses %p as %s with its reason', (text, kind, problem) =>
    expect(parseQuantity(text, kind, 'metric')).toEqual({ ok: false, problem }),
  )

  it('reads back what it shows, to the shown precision', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITY_KINDS),
        fc.constantFrom('metric' as const, 'us' as const),
        fc.double({ min: 0.05, max: 5000, noNaN: true }),
        (kind, system, value) => {
          const shown = formatQuantity(value, kind, system, { significant: 4 })
          const again = parseQuantity(shown, kind, system)
          if (!again.ok) throw new Error(`${shown}: ${again.problem.code}`)
          const slackOf = () => {
            if (kind === 'length' && system === 'us') return 0.0128
            if (kind === 'temperature' || kind === 'ph') return 0.051
            return value * 0.001 + 0.051
          }
          const slack = slackOf()
          expect(Math.abs(again.value.value - value)).toBeLessThanOrEqual(slack)
        },
      ),
    )
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom(...QUANTITY_KINDS),
        (text, kind) => void parseQuantity(text, kind, 'us'),
      ),
    )
  })
})
