/** A part of the report with whether a bar was missed in it. */
export interface Section {
  readonly lines: readonly string[]
  readonly failed: boolean
}

export const percent = (share: number) => String(Math.round(100 * share))

/** Standard errors by which a share of few cases may fall out of its bar by chance. */
export const CHANCE = 2.5
