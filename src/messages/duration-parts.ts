import type { DurationPart } from '@/core/visits/duration'

export const PART_NAMES: Readonly<Record<DurationPart, string>> = {
  'set-up': 'Set up',
  tests: 'Tests and photos',
  'pump-out': 'Pump out',
  fish: 'Fish out',
  rinse: 'Rinse stone and liner',
  media: 'Skimmer and media',
  plants: 'Plants and edges',
  refill: 'Wait for the refill',
  'fish-back': 'Fish back',
  'pack-up': 'Pack up',
}
