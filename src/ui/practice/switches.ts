import type { HousePractice } from '@/domain/practice'

export type Figure = 'growthYears' | 'startupWaterC' | 'feedingStartWaterC' | 'feedingStopWaterC' | 'shutdownWaterC'
export const FIGURES: readonly { key: Figure; label: string; kind: 'temperature' | 'number' }[] = [
  { key: 'growthYears', label: 'Size filters for fish in … years', kind: 'number' },
  { key: 'startupWaterC', label: 'Spring startup from', kind: 'temperature' },
  { key: 'feedingStartWaterC', label: 'Start feeding from', kind: 'temperature' },
  { key: 'feedingStopWaterC', label: 'Stop feeding below', kind: 'temperature' },
  { key: 'shutdownWaterC', label: 'Winter shutdown below', kind: 'temperature' },
]

/** Switches where good contractors disagree, with both arguments. */
export const SWITCHES = [
  {
    key: 'oversizing',
    label: 'Oversizing',
    options: [
      {
        value: 'calculated',
        name: 'To calculation and growth',
        argument: 'The figures already hold grown fish; a larger bed costs the customer money that buys little.',
      },
      {
        value: 'next-size',
        name: 'Next size up, always',
        argument: 'Oversizing rarely hurts, fish breed and owners feed: a fifth more bed than the house school asks.',
      },
    ],
  },
  {
    key: 'plantsCounted',
    label: 'Plants as a filter',
    options: [
      { value: false, name: 'A bonus, not counted on', argument: 'In spring and autumn plants draw little, and the fish eat all the same.' },
      { value: true, name: 'Counted on in season', argument: 'A well planted bed draws real nitrogen in summer, when feed is highest.' },
    ],
  },
  {
    key: 'uv',
    label: 'UV clarifier',
    options: [
      {
        value: 'crutch',
        name: 'Only while the filter matures',
        argument: 'It bridges the first green seasons and is taken out when the bed carries the pond.',
      },
      { value: 'always', name: 'Always fitted', argument: 'Customers buy clear water; a lamp is cheap insurance.' },
      { value: 'never', name: 'Not with a bog', argument: 'A bed of the right size clears water by itself; a lamp only hides that it is too small.' },
    ],
  },
] as const satisfies readonly {
  key: 'oversizing' | 'plantsCounted' | 'uv'
  label: string
  options: readonly { value: string | boolean; name: string; argument: string }[]
}[]

export const choiceName = (practice: HousePractice, key: (typeof SWITCHES)[number]['key']): string =>
  SWITCHES.find((s) => s.key === key)!
    .options.find((o) => o.value === practice[key])!
    .name.toLowerCase()

/** Every question of the practice in a few words. */
export const PRACTICE_LABELS: Readonly<Record<keyof HousePractice, string>> = {
  school: 'Filter size',
  ...(Object.fromEntries([...SWITCHES, ...FIGURES].map(({ key, label }) => [key, label])) as Record<Exclude<keyof HousePractice, 'school'>, string>),
}
