/** Keys of the visit types, in the order in which they are offered; each is whole in a file of `types`. */
export const VISIT_TYPE_KEYS = [
  'spring-cleanout',
  'spring-startup',
  'routine',
  'plant-care',
  'wetland-flush',
  'netting',
  'winter-shutdown',
  'winter-running',
  'winter-check',
  'tub-care',
  'rescue-floor',
  'rescue-strainers',
  'rescue-media',
  'rescue-rocks',
  'filter-build',
  'commissioning',
  'cleanout-second-day',
] as const
export type VisitTypeKey = (typeof VISIT_TYPE_KEYS)[number]
