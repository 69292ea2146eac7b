import type { WhatIfInput, WhatIfOption } from './what-if'

export type WhatIfTemplateKey =
  'staged' | 'new-filter' | 'sterile' | 'bigger' | 'half' | 'uv' | 'feed' | 'pump' | 'heat' | 'leaves'
export type TemplateOptionKey =
  | 'allAtOnceTapWater'
  | 'halfAndHalfPondWaterThreeWeeksApart'
  | 'byItself'
  | 'seededWithMatureMedia'
  | 'leftToItself'
  | 'seededAndHalfTheFeed'
  | 'asItIs'
  | 'filterTwiceTheSize'
  | 'halfTheFilter'
  | 'withoutUv'
  | 'withUv'
  | 'asFedNow'
  | 'halfTheFeed'
  | 'pumpRunsOn'
  | 'stopsBedStaysWet'
  | 'stopsBedDrains'
  | 'usualWeather'
  | 'aWeekOfHeat'
  | 'noNet'
  | 'netted'

/** A ready-made comparison to begin from; its texts are named by its keys. */
export interface WhatIfTemplate {
  readonly key: WhatIfTemplateKey
  /** Day of the year it is usually asked for, MM-DD; 'built': the day the pond's filter was built, else in spring. */
  readonly season: string
  readonly days: number
  readonly start?: WhatIfInput['start']
  readonly options: readonly { readonly option: TemplateOptionKey; readonly changes?: Partial<WhatIfOption> }[]
}

export const WHAT_IF_TEMPLATES: readonly WhatIfTemplate[] = [
  {
    key: 'staged',
    season: '04-20',
    days: 60,
    options: [
      { option: 'allAtOnceTapWater', changes: { events: [{ kind: 'rinse-media', day: 5, share: 1, water: 'tap' }] } },
      {
        option: 'halfAndHalfPondWaterThreeWeeksApart',
        changes: {
          events: [
            { kind: 'rinse-media', day: 5, share: 0.5, water: 'pond' },
            { kind: 'rinse-media', day: 26, share: 0.5, water: 'pond' },
          ],
        },
      },
    ],
  },
  {
    key: 'new-filter',
    season: 'built',
    days: 90,
    start: 'new',
    options: [
      { option: 'byItself' },
      { option: 'seededWithMatureMedia', changes: { events: [{ kind: 'seed-bacteria', day: 0, share: 0.1 }] } },
    ],
  },
  {
    key: 'sterile',
    season: '04-20',
    days: 60,
    options: [
      { option: 'leftToItself', changes: { events: [{ kind: 'rinse-media', day: 1, share: 1, water: 'tap' }] } },
      {
        option: 'seededAndHalfTheFeed',
        changes: {
          feed: 0.5,
          events: [
            { kind: 'rinse-media', day: 1, share: 1, water: 'tap' },
            { kind: 'seed-bacteria', day: 2, share: 0.05 },
          ],
        },
      },
    ],
  },
  {
    key: 'bigger',
    season: '04-20',
    days: 120,
    options: [{ option: 'asItIs' }, { option: 'filterTwiceTheSize', changes: { filterSize: 2 } }],
  },
  {
    key: 'half',
    season: '04-20',
    days: 120,
    options: [{ option: 'asItIs' }, { option: 'halfTheFilter', changes: { filterSize: 0.5 } }],
  },
  {
    key: 'uv',
    season: '06-01',
    days: 45,
    start: 'green',
    options: [
      { option: 'withoutUv', changes: { uv: 'off' } },
      { option: 'withUv', changes: { uv: 'on' } },
    ],
  },
  {
    key: 'feed',
    season: '06-01',
    days: 90,
    options: [{ option: 'asFedNow' }, { option: 'halfTheFeed', changes: { feed: 0.5 } }],
  },
  {
    key: 'pump',
    season: '07-01',
    days: 45,
    options: [
      { option: 'pumpRunsOn' },
      {
        option: 'stopsBedStaysWet',
        changes: {
          airBreak: 'stays-wet',
          events: [
            { kind: 'pump', day: 5, running: false },
            { kind: 'pump', day: 6.25, running: true },
          ],
        },
      },
      {
        option: 'stopsBedDrains',
        changes: {
          airBreak: 'drains',
          events: [
            { kind: 'pump', day: 5, running: false },
            { kind: 'pump', day: 6.25, running: true },
          ],
        },
      },
    ],
  },
  {
    key: 'heat',
    season: '07-05',
    days: 30,
    options: [
      { option: 'usualWeather' },
      { option: 'aWeekOfHeat', changes: { events: [{ kind: 'heatwave', day: 5, days: 7, warmerC: 7 }] } },
    ],
  },
  {
    key: 'leaves',
    season: '10-01',
    days: 270,
    options: [
      { option: 'noNet', changes: { events: [{ kind: 'net', day: 0, keptShare: 0.1 }] } },
      { option: 'netted', changes: { events: [{ kind: 'net', day: 0, keptShare: 0.9 }] } },
    ],
  },
]
