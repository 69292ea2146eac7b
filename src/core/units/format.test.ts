import { formatNumber, formatQuantity } from './format'

const plain = (text: string) => text.replaceAll('\u00a0', ' ')

describe('formatQuantity', () => {
  it.each([
    [3.81, 'length', 'metric', '3.81 m'],
    [3.81, 'length', 'us', '12 ft 6 in'],
    [0.1016, 'length', 'us', '4 in'],
    [3.048, 'length', 'us', '10 ft'],
    [-0.6096, 'length', 'us', '−2 ft'],
    [10.94, 'volume', 'metric', '10.9 m³'],
    [0.0967, 'volume', 'metric', '96.7 L'],
    [3.406870606, 'volume', 'us', '900 gal'],
    [12, 'temperature', 'metric', '12.0 °C'],
    [12, 'temperature', 'us', '53.6 °F'],
    [0.125, 'share', 'metric', '12.5 %'],
    [7.4, 'ph', 'us', '7.4'],
    [1234.5, 'mass', 'metric', '1,235 kg'],
  ] as const)('shows %d (%s) in %s as %s', (value, kind, system, shown) =>
    expect(plain(formatQuantity(value, kind, system))).toBe(shown),
  )

  it('shows small scales in small units', () => {
    expect(plain(formatQuantity(0.025, 'length', 'metric', { scale: 'small' }))).toBe('25 mm')
    expect(plain(formatQuantity(0.0381, 'length', 'us', { scale: 'small' }))).toBe('1.5 in')
    expect(plain(formatQuantity(0.0015, 'mass', 'metric', { scale: 'small' }))).toBe('1.5 g')
  })
  it('leaves the unit off where a heading has it, and follows the locale', () => {
    expect(formatQuantity(1.5, 'flow', 'metric', { bare: true, locale: 'de' })).toBe('1,5')
    expect(formatNumber(1234.5, 'de')).toBe('1.235')
  })
  it('shows a dash for what is not a number, and no minus zero', () => {
    expect(formatQuantity(Number.NaN, 'mass', 'metric')).toBe('–')
    expect(formatQuantity(Infinity, 'mass', 'metric')).toBe('–')
    expect(plain(formatQuantity(-0, 'flow', 'metric'))).toBe('0 m³/h')
  })
})
