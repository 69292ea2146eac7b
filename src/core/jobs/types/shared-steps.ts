import type { JobStep } from '../step'

/** Steps that open and close most visits. */
export const ARRIVE: readonly JobStep[] = [
  {
    key: 'arrive-photos',
    section: 'Arrive',
    kind: 'photo',
    title: 'Photograph the pond as found',
    detail: 'Whole pond, filter, skimmer, anything already broken.',
  },
  {
    key: 'hazards',
    section: 'Arrive',
    kind: 'do',
    title: 'Walk the site for hazards',
    safety: 'Open water and open vaults are drowning hazards: cover or guard them whenever children may come near. Three points of contact on wet stone.',
  },
]

export const ISOLATE: JobStep = {
  key: 'isolate',
  section: 'Arrive',
  kind: 'do',
  title: 'Isolate power and prove it dead',
  detail: 'At the disconnect; lock it, test.',
  safety: 'Nobody reaches into the water before the supply is isolated, locked and proved dead. Wiring faults are for a licensed electrician.',
}

export const TEST: JobStep = {
  key: 'test',
  section: 'Arrive',
  kind: 'measure',
  title: 'Test the pond',
  readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen', 'clarityDepth'],
  required: ['waterTemp'],
}

export const FINISH: readonly JobStep[] = [
  { key: 'after-photos', section: 'Finish', kind: 'photo', title: 'Photograph the pond as left' },
  { key: 'tools', section: 'Finish', kind: 'do', title: 'Count the tools, leave the site clean' },
  { key: 'sign', section: 'Finish', kind: 'sign', title: 'Sign the visit' },
]
