import fc from 'fast-check'
import { storable, storableText, unstorablePath } from './clean-text'

describe('text that can be stored', () => {
  it('loses U+0000, and halves of characters become U+FFFD', () => {
    expect(storableText('a\u0000b')).toBe('ab')
    expect(storableText('x\uD83Dy')).toBe('x\uFFFDy')
    expect(storableText('\uDE00')).toBe('\uFFFD')
    // whole ones stay
    expect(storableText('koi 🐟 été')).toBe('koi 🐟 été')
  })
  it('is found wherever it stands', () => {
    const line = { answer: { note: 'a\u0000', fish: [{ species: 'koi' }] }, at: 'x' }
    expect(unstorablePath(line)).toEqual(['answer', 'note'])
    expect(storable(line)).toEqual({ answer: { note: 'a', fish: [{ species: 'koi' }] }, at: 'x' })
    expect(unstorablePath(storable(line))).toBeNull()
  })
  it('every value comes out storable and, where it was so before, unchanged', () =>
    fc.assert(
      fc.property(fc.anything(), (value) => {
        const clean = storable(JSON.parse(JSON.stringify(value ?? null)))
        expect(unstorablePath(clean)).toBeNull()
        expect(storable(clean)).toEqual(clean)
      }),
    ))
})
