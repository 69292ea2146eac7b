import { PALETTE, type ThemeName } from '@/core/drawing/palette'

/** Colours of charts, read from the theme where the chart stands. */
export interface ChartInk {
  readonly ink: string
  readonly soft: string
  readonly rule: string
  readonly reed: string
  readonly iris: string
  readonly rust: string
  readonly amber: string
  readonly water: string
}

/** Inks of the theme that the reader wears. */
export function chartInk(theme: ThemeName): ChartInk {
  const { ink, inkSoft, rule, reed, iris, rust, amber, waterLine } = PALETTE[theme]
  return { ink, soft: inkSoft, rule, reed, iris, rust, amber, water: waterLine }
}

export const FONT = "'Atkinson Hyperlegible Next Variable', sans-serif"

export const axis = (ink: ChartInk, name: string) => ({
  name,
  nameTextStyle: { color: ink.soft, fontFamily: FONT },
  axisLabel: { color: ink.soft, fontFamily: FONT },
  axisLine: { lineStyle: { color: ink.rule } },
  splitLine: { lineStyle: { color: ink.rule, opacity: 0.6 } },
})
