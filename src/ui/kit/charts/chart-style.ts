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

const LIGHT: ChartInk = {
  ink: '#2b2620',
  soft: '#625949',
  rule: '#d3cab8',
  reed: '#3f6b3a',
  iris: '#5b4a8a',
  rust: '#9c3d1e',
  amber: '#8a5608',
  water: '#2f6f78',
}
const DARK: ChartInk = {
  ink: '#e6dfd2',
  soft: '#b5ab9a',
  rule: '#46413a',
  reed: '#a9cf9d',
  iris: '#b9a8ea',
  rust: '#f0a283',
  amber: '#eabf6f',
  water: '#8fc4cb',
}

export const chartInk = (theme: string): ChartInk => (theme === 'dark' ? DARK : LIGHT)

export const FONT = "'Atkinson Hyperlegible Next Variable', sans-serif"

export const axis = (ink: ChartInk, name: string) => ({
  name,
  nameTextStyle: { color: ink.soft, fontFamily: FONT },
  axisLabel: { color: ink.soft, fontFamily: FONT },
  axisLine: { lineStyle: { color: ink.rule } },
  splitLine: { lineStyle: { color: ink.rule, opacity: 0.6 } },
})
