import type { HousePractice } from '@/domain/house-rules/house-rules'

export type Figure =
  | 'growthYears'
  | 'cleanoutMaxWaterC'
  | 'startupWaterC'
  | 'bacteriaWaterC'
  | 'feedingStartWaterC'
  | 'feedingNormalWaterC'
  | 'tenderPlantsWaterC'
  | 'highSummerWaterC'
  | 'feedingStopWaterC'
  | 'shutdownWaterC'
export const FIGURES: readonly { key: Figure; label: string; kind: 'temperature' | 'number' }[] = [
  { key: 'growthYears', label: 'Size filters for fish in … years', kind: 'number' },
  { key: 'cleanoutMaxWaterC', label: 'Spring cleanout up to', kind: 'temperature' },
  { key: 'startupWaterC', label: 'Spring startup from', kind: 'temperature' },
  { key: 'bacteriaWaterC', label: 'Ordinary bacteria from', kind: 'temperature' },
  { key: 'feedingStartWaterC', label: 'Start feeding from', kind: 'temperature' },
  { key: 'feedingNormalWaterC', label: 'Normal feed from', kind: 'temperature' },
  { key: 'tenderPlantsWaterC', label: 'Tender plants in from', kind: 'temperature' },
  { key: 'highSummerWaterC', label: 'High-summer watch from', kind: 'temperature' },
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
  {
    key: 'spring',
    label: 'Spring',
    options: [
      { value: 'full-yearly', name: 'Full cleanout every year', argument: 'Sludge is out before it feeds the summer, and every part is seen once a year.' },
      {
        value: 'when-needed',
        name: 'Full cleanout when sediment or clarity ask for it',
        argument: 'A settled pond keeps the life that clears it. Agree a cleanout for the ponds that need one, a startup for the others.',
      },
      {
        value: 'never-drain',
        name: 'Never drained: light startup and flush',
        argument: 'Draining sets the pond back by weeks. Cleanouts are not planned at all; agree a startup instead.',
      },
    ],
  },
  {
    key: 'winter',
    label: 'Winter',
    options: [
      { value: 'shutdown', name: 'Shut down, drain, store', argument: 'Nothing can freeze full, and the pump rests dry of ice.' },
      { value: 'run-on', name: 'Run on with ice watch', argument: 'A running bed keeps its life, but somebody must look for ice dams after every frost.' },
    ],
  },
  {
    key: 'lamp',
    label: 'Age of UV lamps',
    options: [
      { value: 'calendar', name: 'By the calendar', argument: 'A lamp that was forgotten is worse than one renewed early; everybody remembers a spring.' },
      {
        value: 'running',
        name: 'By the days it has run',
        argument: 'Where the pump rests in winter so does the lamp, and it lasts into a second season before it fades.',
      },
    ],
  },
  {
    key: 'bacteria',
    label: 'Bacteria additions',
    options: [
      { value: 'regular', name: 'At start and regularly', argument: 'They bring a young or cold pond over the weeks before its own film is there.' },
      { value: 'after-disturbance', name: 'Only after a disturbance', argument: 'After a cleanout, a power cut or a treatment; a settled pond has its own.' },
      { value: 'none', name: 'None', argument: 'The film that grows by itself is the one that fits.' },
    ],
  },
  {
    key: 'rinsing',
    label: 'Rinsing stone',
    options: [
      { value: 'hose', name: 'Hose only', argument: 'The film on the stones is half the filter; a hose leaves it where it is.' },
      { value: 'pressure', name: 'Pressure washer', argument: 'Customers see clean stone, and years of sludge come out of the gaps.' },
    ],
  },
  {
    key: 'mediaRinse',
    label: 'Rinsing media',
    options: [
      { value: 'pond-water', name: 'In pond water only', argument: 'Chlorine kills in minutes what took weeks to grow.' },
      {
        value: 'tap-reset',
        name: 'Tap water as a reset',
        argument: 'Media clogged beyond hope come clean under pressure, and are then treated as a new filter.',
      },
    ],
  },
  {
    key: 'winterSalt',
    label: 'Salt in winter',
    options: [
      { value: 'none', name: 'None', argument: 'It leaves only with water, and plants pay for it in spring.' },
      { value: 'tenth-percent', name: 'A tenth of a percent', argument: 'It eases the fish through cold water and keeps nitrite off their gills.' },
    ],
  },
  {
    key: 'winterIntake',
    label: 'Intake in winter',
    options: [
      { value: 'upper', name: 'Raised to upper or mid water', argument: 'The warmer water at the bottom stays still, and the fish in it.' },
      { value: 'unchanged', name: 'Left where it is', argument: 'Less to forget in spring; where the pump rests it makes no difference.' },
    ],
  },
  {
    key: 'stringAlgae',
    label: 'String algae',
    options: [
      { value: 'by-place', name: 'Tolerated by place', argument: 'In the wetland and on spillway sides they filter; on falls faces they hide the stone.' },
      { value: 'ioniser', name: 'Ioniser', argument: 'It works by itself, as long as copper is tested and the probe is clean.' },
      { value: 'hand', name: 'By hand only', argument: 'What is taken out takes its nutrients along, and nothing else is harmed.' },
      { value: 'treat', name: 'Treated where it must be', argument: 'For a wedding next week; by a licensed applicator, and with oxygen for the night.' },
    ],
  },
  {
    key: 'waterChanges',
    label: 'Water changes',
    options: [
      { value: 'routine', name: 'A tenth and more by routine', argument: 'Nitrate, salts and colour leave only with water.' },
      { value: 'top-up', name: 'Top-up only', argument: 'A well-sized bog keeps the water; each change brings chlorine and cold.' },
    ],
  },
] as const satisfies readonly {
  key:
    | 'oversizing'
    | 'plantsCounted'
    | 'uv'
    | 'spring'
    | 'winter'
    | 'lamp'
    | 'bacteria'
    | 'rinsing'
    | 'mediaRinse'
    | 'winterSalt'
    | 'winterIntake'
    | 'stringAlgae'
    | 'waterChanges'
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
