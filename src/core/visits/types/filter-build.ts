import type { VisitType } from '../step'
import { ARRIVE, FINISH, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const FILTER_BUILD: VisitType = {
  key: 'filter-build',
  name: 'New filter: build',
  version: 1,
  steps: [
    ...ARRIVE,
    {
      key: 'services',
      section: 'Ground',
      kind: 'do',
      title: 'Buried services marked before the first cut',
      safety:
        'Call the service that marks cables and pipes; dig by hand beside them. Walls, slabs and roofs are for a licensed engineer.',
    },
    { key: 'mark-out', section: 'Ground', kind: 'do', title: 'Mark out bed, vault and pipe runs from the drawing' },
    {
      key: 'dig',
      section: 'Ground',
      kind: 'do',
      title: 'Dig or frame, level checked all round',
      safety: 'No one in a trench that can fall in. Machines: nobody within reach of the arm.',
    },
    {
      key: 'liner',
      section: 'Ground',
      kind: 'do',
      title: 'Underlay, liner, underlay; folds laid, no wheel or sharp stone on it',
    },
    {
      key: 'modules-photo',
      section: 'Layers',
      kind: 'photo',
      title: 'HOLD: photograph pipe pitch and modules before they are covered',
      detail: 'Spirit level on the distribution pipe in the picture; slots the way the drawing says.',
    },
    {
      key: 'vault',
      section: 'Layers',
      kind: 'do',
      title: 'Cleanout vault upright, lid and access free',
      safety: 'Open vaults are covered or guarded at all times.',
    },
    {
      key: 'rinse-gravel',
      section: 'Layers',
      kind: 'do',
      title: 'Rinse gravel until it runs clear, layer by layer',
      safety: 'Lift wet media with two people or a machine above {25|mass}.',
    },
    { key: 'layers-photo', section: 'Layers', kind: 'photo', title: 'HOLD: photograph each layer with a tape' },
    { ...TEST_TAP, section: 'Fill' },
    {
      key: 'fill',
      section: 'Fill',
      kind: 'dose',
      title: 'Fill by the meter, dechlorinator as it comes',
      detail: 'What the meter says is the true volume: write it down.',
      figures: ['fillM3'],
      safety: 'Auto-fill needs a backflow preventer and a licensed plumber. The label governs.',
    },
    {
      key: 'leak-test',
      section: 'Fill',
      kind: 'measure',
      title: 'Leak test over 24 hours: what the level lost',
      figures: ['leakM'],
    },
    { key: 'flow', section: 'Fill', kind: 'do', title: 'Flow and level set, every edge wet as drawn' },
    {
      key: 'pump-stop',
      section: 'Fill',
      kind: 'measure',
      title: 'Pump-stop test: what drains back into the pond',
      detail: 'No more than the drawing predicts; no siphon runs on.',
      figures: ['drainBackM3'],
    },
    {
      key: 'seed',
      section: 'Start',
      kind: 'do',
      title: 'Seed with mature media, gravel or pads from a healthy pond',
      detail: 'Pond water carries next to no bacteria: it only helps fish acclimate, and only if it is good.',
    },
    { key: 'plant', section: 'Start', kind: 'do', title: 'Plant by the plan, roots into the flow' },
    {
      key: 'hand-over',
      section: 'Start',
      kind: 'do',
      title: 'Hand-over sheet: switches, valves, what to look at, whom to call',
    },
    ...FINISH,
  ],
  followUpDays: [2, 3],
  followUpTitle: 'First test of the new filter',
  followUpReadings: ['tan', 'nitrite'],
  customerNote:
    'A new filter takes eight to ten weeks to settle. Fish come late and few, and feed as little as they beg for.',
}

/** @source house defaults; logged times correct the minutes */
export const FILTER_BUILD_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 2,
  timing: 'by-hand',
  hands: { baseMin: 1400, perM2Min: 12 },
  spoil: { baseM3: 0.5, perM2M3: 0.02 },
  fills: true,
  covers: [],
  takesAlong: [],
  after: [],
}
