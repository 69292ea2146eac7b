import fc from 'fast-check'
import { fileText } from './file-text'

const bytes = (...values: number[]) => Uint8Array.from(values)
const CAFE_1252 = bytes(0x43, 0x61, 0x66, 0xe9)

describe('the text of a file', () => {
  it('“Café” out of an old spreadsheet is Café, never “Caf\uFFFD”', () =>
    expect(fileText(CAFE_1252)).toEqual({ ok: true, text: 'Café', encoding: 'windows-1252' }))
  it('is read by its mark', () => {
    expect(fileText(bytes(0xff, 0xfe, 0x41, 0, 0xe9, 0))).toEqual({ ok: true, text: 'Aé', encoding: 'utf-16le' })
    expect(fileText(bytes(0xfe, 0xff, 0, 0x41, 0, 0xe9))).toEqual({ ok: true, text: 'Aé', encoding: 'utf-16be' })
    expect(fileText(bytes(0xef, 0xbb, 0xbf, 0x41))).toEqual({ ok: true, text: 'A', encoding: 'utf-8' })
  })
  it.each([
    ['UTF-16 without its mark', bytes(0x41, 0, 0x42, 0)],
    ['letters that the Western set lacks', bytes(0x41, 0x81, 0x42)],
    ['a picture', bytes(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)],
  ])('is refused with the mend: %s', (_, file) =>
    expect(fileText(file)).toEqual({ ok: false, message: 'kit.problems.letters' }),
  )
  it('whatever was written in UTF-8 comes back as it was', () => {
    const words = fc.string({ unit: 'grapheme' }).filter((s) => /^[^\p{Cc}\uFEFF]*$/u.test(s))
    fc.assert(
      fc.property(words, (text) =>
        expect(fileText(new TextEncoder().encode(text))).toEqual({ ok: true, text, encoding: 'utf-8' }),
      ),
    )
  })
})
