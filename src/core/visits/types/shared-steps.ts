import { ALGAE_ANSWERS } from '../gates/algae-treatment'
import { MEDIA_WATER } from '../gates/media-clean'
import type { VisitStep } from '../step'

/** Steps that open and close most visits. */
export const ARRIVE: readonly VisitStep[] = [
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
    onceAtStop: true,
    safety:
      'Open water and open vaults are drowning hazards: cover or guard them whenever children may come near. Three points of contact on wet stone.',
  },
]

export const ISOLATE: VisitStep = {
  key: 'isolate',
  section: 'Arrive',
  kind: 'do',
  title: 'Isolate power and prove it dead',
  detail: 'At the disconnect; lock it, test.',
  safety:
    'Nobody reaches into the water before the supply is isolated, locked and proved dead. Wiring faults are for a licensed electrician.',
}

export const TEST: VisitStep = {
  key: 'test',
  section: 'Arrive',
  kind: 'measure',
  title: 'Test the pond',
  detail: 'Before anything is stirred up.',
  readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'nitrate', 'kh', 'gh', 'dissolvedOxygen', 'clarityDepth'],
  required: ['waterTemp'],
}

export const TEST_TAP: VisitStep = {
  key: 'test-tap',
  section: 'Arrive',
  kind: 'measure',
  title: 'Test the water that goes in',
  detail:
    'The chlorine found here sets the portions of dechlorinator, its temperature how fast it may run in. Its pH and KH are kept for the site: once is enough while the source stays the same.',
  readings: ['tapTemp', 'tapChlorine', 'tapPh', 'tapKh'],
  required: ['tapTemp', 'tapChlorine'],
}

export const CHANGE_WATER: VisitStep = {
  key: 'change-water',
  section: 'Water',
  kind: 'dose',
  title: 'Part of the water out, treated water in',
  detail:
    'At most a third. Dechlorinator goes in by portions as the water comes, not afterwards. Write down how much was changed; 0 if none.',
  quantity: 'partial-change',
  figures: ['changedM3'],
  products: ['dechlorinator'],
  gate: 'water-change',
  safety:
    'To planting beds; not to storm drains or streams unless the local rules allow it. The label governs: never more than it allows, never mix products.',
}

export const RINSE_MEDIA: VisitStep = {
  key: 'media',
  section: 'Filter',
  kind: 'decide',
  title: 'Pads and media: rinse part by part',
  detail:
    'Half of the biological media at most while fish are in the pond. Low pressure, in saved pond water. Note pads that are thin and what was replaced.',
  figures: ['mediaShare', 'padThicknessM'],
  choices: [...MEDIA_WATER],
  gate: 'media-clean',
}

export const TREAT_ALGAE: VisitStep = {
  key: 'treat-algae',
  section: 'Life',
  kind: 'decide',
  products: ['algae'],
  title: 'Algae treatment',
  detail:
    'Only if the house rules allow algae killers at all. Oxygen has to last the night. Never on a day on which algae die off by themselves.',
  choices: [...ALGAE_ANSWERS],
  gate: 'algae-treatment',
  safety: 'Pesticide law: a licensed applicator where it says so. The label governs; gloves and goggles.',
}

export const BACTERIA: VisitStep = {
  key: 'bacteria',
  section: 'Life',
  kind: 'dose',
  products: ['cold-bacteria', 'bacteria'],
  title: 'Bacteria by the water’s temperature',
  detail:
    'Cold-water culture below {10|temperature}, the ordinary one above and rising. New pack in the dosing unit if it is empty.',
  safety: 'The label governs the amount.',
}

export const LOOK_AT_FISH: VisitStep = {
  key: 'fish',
  section: 'Life',
  kind: 'count-fish',
  title: 'Look the fish over, count losses',
  detail: 'Red fin tips, raised scales, clamped fins, cloudy skin, gasping, hiding.',
  safety: 'Signs of disease are for a vet or fish-health specialist; nothing is treated by guess.',
}

export const FINISH: readonly VisitStep[] = [
  { key: 'after-photos', section: 'Finish', kind: 'photo', title: 'Photograph the pond as left' },
  { key: 'tools', section: 'Finish', kind: 'do', title: 'Count the tools, leave the site clean', onceAtStop: true },
  {
    key: 'sign',
    section: 'Finish',
    kind: 'sign',
    title: 'Tell the customer and sign off',
    onceAtStop: true,
    detail: 'What was found, what was done, what comes next, what they should do until then.',
  },
]

export const NO_FOLLOW_UP = { followUpDays: [0, 0], followUpTitle: '', followUpReadings: [] } as const
export const TEST_AFTER = {
  followUpDays: [3, 7],
  followUpTitle: 'Test after the visit',
  followUpReadings: ['tan', 'nitrite'],
} as const
