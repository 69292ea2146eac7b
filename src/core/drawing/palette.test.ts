import { PALETTE, PAPER, paletteAsScss } from './palette'

/** @source WCAG 2.2, relative luminance and contrast ratio */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [r, g, b] = [1, 3, 5].map((i) => {
      const share = Number.parseInt(hex.slice(i, i + 2), 16) / 255
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
    })
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
  }
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (light! + 0.05) / (dark! + 0.05)
}

describe('the palette', () => {
  it.each(Object.entries(PALETTE))('of the %s theme can be read on its sheets', (_, theme) => {
    for (const ink of [theme.ink, theme.inkSoft, theme.reed, theme.iris, theme.rust, theme.amber, theme.waterLine])
      expect(contrast(ink, theme.sheet)).toBeGreaterThanOrEqual(4.5)
  })
  it('is strongest outdoors', () =>
    expect(contrast(PALETTE.sun.inkSoft, PALETTE.sun.sheet)).toBeGreaterThan(
      contrast(PALETTE.light.inkSoft, PALETTE.light.sheet),
    ))
  it('on paper is dark on white', () => {
    for (const ink of [PAPER.ink, PAPER.soft, PAPER.levels, PAPER.earth])
      expect(contrast(ink, PAPER.ground)).toBeGreaterThanOrEqual(4.5)
  })
  it('goes to the style sheets with every theme', () =>
    expect(paletteAsScss()).toMatch(
      /^\$palette-light: \('body': #f5f1e8, .*'ink-soft': #625949.*\);\n\$palette-dark: /,
    ))
})
