/** Colours by what they are for; every surface, chart, drawing and paper takes its own from here. */
interface Theme {
  readonly body: string
  readonly sheet: string
  readonly ink: string
  readonly inkSoft: string
  readonly rule: string
  /** The firm's own actions. */
  readonly reed: string
  readonly reedWash: string
  /** What is selected. */
  readonly iris: string
  readonly irisWash: string
  /** What stops, and what went wrong. */
  readonly rust: string
  readonly rustWash: string
  /** What wants a look. */
  readonly amber: string
  readonly amberWash: string
  readonly waterFill: string
  readonly waterLine: string
  readonly stone: string
  readonly earth: string
}

/** Peat ink on pale silt. */
const LIGHT: Theme = {
  body: '#f5f1e8',
  sheet: '#fbf8f1',
  ink: '#2b2620',
  inkSoft: '#625949',
  rule: '#d3cab8',
  reed: '#3f6b3a',
  reedWash: '#e3ecdb',
  iris: '#5b4a8a',
  irisWash: '#e9e4f3',
  rust: '#9c3d1e',
  rustWash: '#f6e2d8',
  amber: '#8a5608',
  amberWash: '#f7ead0',
  waterFill: '#bcd3d3',
  waterLine: '#2f6f78',
  stone: '#b9ac97',
  earth: '#d9cdb8',
}

const DARK: Theme = {
  body: '#1b1a17',
  sheet: '#24221e',
  ink: '#e6dfd2',
  inkSoft: '#b5ab9a',
  rule: '#46413a',
  reed: '#a9cf9d',
  reedWash: '#2b3926',
  iris: '#b9a8ea',
  irisWash: '#37304d',
  rust: '#f0a283',
  rustWash: '#47281c',
  amber: '#eabf6f',
  amberWash: '#423415',
  waterFill: '#2f5358',
  waterLine: '#8fc4cb',
  stone: '#6d6455',
  earth: '#3d372d',
}

/** Outdoors: black on white, heavier strokes, nothing pale. */
const SUN: Theme = {
  ...LIGHT,
  body: '#ffffff',
  sheet: '#ffffff',
  ink: '#000000',
  inkSoft: '#222222',
  rule: '#555555',
  reed: '#0b4a08',
  iris: '#3a1f8f',
  rust: '#8a1f00',
  amber: '#5e3a00',
  waterFill: '#9fd0d6',
}

export const PALETTE = { light: LIGHT, dark: DARK, sun: SUN } as const
export type ThemeName = keyof typeof PALETTE

/** Ink on white paper: drawings, proposals, reports, day sheets. */
export const PAPER = {
  ground: '#ffffff',
  ink: LIGHT.ink,
  soft: '#6a6154',
  rule: '#d8d0c0',
  reed: LIGHT.reed,
  water: '#2f7f8c',
  plants: '#4d7a3f',
  levels: '#a4472b',
  earth: '#7a5a3a',
  fills: {
    gravel: '#ece5d8',
    water: '#cfe3e6',
    plant: '#c9dcbc',
    modules: '#dfeaec',
    wall: '#d8d5cf',
    crown: '#dfead5',
    paper: '#ffffff',
    earth: '#eadfcb',
    'levelling-gravel': '#e2d8c6',
    'bridging-stone': '#cfc5b4',
    'gravel-19-38': '#dbd1c0',
    'planting-6-12': '#e9dfcc',
    'pea-gravel': '#eee4d2',
  },
} as const

const LAYER_INK: Readonly<Record<string, string>> = {
  OUTLINE: PAPER.ink,
  PIPE: PAPER.ink,
  WATER: PAPER.water,
  PLANTS: PAPER.plants,
  LEVELS: PAPER.levels,
  GROUND: PAPER.earth,
  SERVICES: PAPER.levels,
  TREES: PAPER.plants,
}
/** The ink that a layer of a drawing is drawn with on paper. */
export const layerInk = (layer: string): string => LAYER_INK[layer] ?? PAPER.soft

const FILLS: Readonly<Record<string, string>> = PAPER.fills
/** What an area of a drawing is filled with on paper. */
export const paperFill = (name: string | undefined): string => FILLS[name ?? ''] ?? 'none'

const kebab = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)

/** The themes as maps for the style sheets, named $palette-light and so on. */
export const paletteAsScss = (): string =>
  Object.entries(PALETTE)
    .map(([theme, colours]) => {
      const rows = Object.entries(colours).map(([name, colour]) => `'${kebab(name)}': ${colour}`)
      return `$palette-${theme}: (${rows.join(', ')});`
    })
    .join('\n')
