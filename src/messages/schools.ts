import type { School } from '@/core/filter/house-rules'

export const SCHOOL_NAMES: Readonly<Record<School, string>> = {
  volume: 'Share of volume',
  surface: 'Share of surface',
  nitrogen: 'Nitrogen and oxygen',
  closedLoop: 'Closed loop',
}

/** What each school holds, for the person who has to choose. */
export const SCHOOL_ARGUMENTS: Readonly<Record<School, string>> = {
  volume:
    'Gross bed volume as a share of the pond’s water, by use; six bed volumes an hour. Quick, and what many firms grew up with. Says nothing about the fish.',
  surface: 'Bed area as a share of the pond’s surface, less for large ponds. Easy to explain on site. Blind to depth and stock.',
  nitrogen:
    'Stone surface and oxygen for the ammonia that the grown fish give off, in the worst month. Follows the fish. Says little where there are hardly any.',
  closedLoop:
    'The smallest bed that holds the pond at the target level when its water passes over and over. Follows the flow. Needs flow that is really delivered.',
}
