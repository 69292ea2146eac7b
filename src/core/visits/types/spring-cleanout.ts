import type { JobPlanning } from '../planning-facts'
import { FISH_BACK_READINGS } from '../fish-back-gate'
import { MEDIA_WATER } from '../gates/media-clean'
import type { VisitStep, VisitType } from '../step'

const BASE = 'Before leaving base'
const ARRIVE = 'Arrive and test'
const FISH = 'Drain down and fish out'
const RINSE = 'Rinse'
const EMPTY = 'While it is empty'
const REFILL = 'Refill'
const BACK = 'Fish back'
const FINISH = 'Finish'

const steps: readonly VisitStep[] = [
  {
    key: 'kit',
    section: BASE,
    kind: 'do',
    title: 'Load the kit',
    detail:
      'Waders, gloves, holding tanks with cover nets and aerator, fish nets and a water-carrying sling, clean-out pumps and hose, pressure washer, wet vacuum, foam, fertiliser tablets, dechlorinator, bacteria, spare pads, lamp if due.',
    quantity: 'holding-tank',
    safety: 'Lift with two people or a machine above {25|mass}.',
  },
  {
    key: 'arrive-photos',
    section: ARRIVE,
    kind: 'photo',
    title: 'Photograph the pond as found',
    detail: 'Whole pond, filter, skimmer, anything already broken.',
  },
  {
    key: 'hazards',
    section: ARRIVE,
    kind: 'do',
    title: 'Walk the site for hazards',
    safety:
      'An emptied pond and an open vault are falls and drowning hazards: cover or guard them whenever children may come near. Three points of contact on wet stone.',
  },
  {
    key: 'isolate',
    section: ARRIVE,
    kind: 'do',
    title: 'Isolate power and prove it dead',
    detail: 'Pump, lamp, lights, de-icer off at the disconnect, lock it, test.',
    safety:
      'Nobody enters the water before the supply is isolated, locked and proved dead. Wiring faults are for a licensed electrician.',
  },
  {
    key: 'test-before',
    section: ARRIVE,
    kind: 'measure',
    title: 'Test the pond',
    detail: 'Before anything is stirred up.',
    readings: ['waterTemp', 'ph', 'tan', 'kh', 'nitrite', 'dissolvedOxygen', 'clarityDepth'],
    required: ['waterTemp', 'ph', 'tan', 'dissolvedOxygen'],
  },
  {
    key: 'test-tap',
    section: ARRIVE,
    kind: 'measure',
    title: 'Test the tap',
    detail: 'The chlorine found here sets the dechlorinator portions.',
    readings: ['tapTemp', 'tapChlorine', 'tapPh', 'tapKh'],
    required: ['tapTemp', 'tapChlorine'],
  },
  {
    key: 'winter-gear',
    section: ARRIVE,
    kind: 'do',
    title: 'Net, de-icer and winter aerator off',
    detail: 'Debris out of the net; dry, bag, label, store where agreed.',
  },
  {
    key: 'saved-water',
    section: FISH,
    kind: 'decide',
    title: 'Is the pond water clean enough to keep?',
    detail:
      'Fill the holding tanks with good pond water first. If it is green or foul use a little and top up with dechlorinated tap water.',
    quantity: 'saved-water',
    choices: [
      { code: 'pond-water', label: 'Clean: tanks filled with pond water' },
      { code: 'tap-water', label: 'Green or foul: mostly treated tap water' },
    ],
  },
  {
    key: 'tanks-ready',
    section: FISH,
    kind: 'do',
    title: 'Tanks in shade, aerator running, cover nets to hand',
    detail: 'Before the first fish arrives.',
    quantity: 'holding-tank',
  },
  {
    key: 'pump-down',
    section: FISH,
    kind: 'do',
    title: 'Pump down with the intake guarded',
    detail: 'To planting beds where allowed. Stop at about {0.3|length}.',
    quantity: 'pump-out',
    safety: 'Not to storm drains or streams unless the local rules allow it.',
  },
  {
    key: 'fish-out',
    section: FISH,
    kind: 'count-fish',
    title: 'Net, move and count the fish',
    gate: 'fish-handling',
    detail:
      'Largest first, always supported in water, in the sling. Look for red fin tips, raised scales, cloudy skin. Measure a few. Cover the tank.',
  },
  {
    key: 'tank-watch',
    section: FISH,
    kind: 'timer',
    title: 'Watch the holding tank',
    detail: 'Oxygen and temperature every 15 minutes while fish are in it.',
    timerMinutes: 15,
    again: true,
    readings: ['tankTemp', 'tankOxygen'],
    required: ['tankTemp', 'tankOxygen'],
  },
  { key: 'drain', section: FISH, kind: 'do', title: 'Finish draining and lift out big debris by hand' },
  {
    key: 'rinse-stone',
    section: RINSE,
    kind: 'do',
    title: 'Rinse from the top of the falls downward',
    detail:
      'Chase the dirt to the pump. Do not scrub to bare stone: leave some film and algae. Rinse again until it runs clear.',
    safety:
      'Pressure washer: goggles, boots, nobody in front of the lance. Rotten-egg smell: stop, get out, ventilate.',
  },
  { key: 'skimmer', section: RINSE, kind: 'do', title: 'Skimmer: basket, mat, pump vault' },
  {
    key: 'media',
    section: RINSE,
    kind: 'decide',
    title: 'Waterfall box: media and pads',
    detail:
      'Rinse in saved pond water at low pressure. Never chlorinated water, never high pressure. Note pads that are thin and what was replaced.',
    figures: ['mediaShare', 'padThicknessM'],
    choices: [...MEDIA_WATER],
    gate: 'media-clean',
  },
  {
    key: 'flush',
    section: RINSE,
    kind: 'measure',
    title: 'Flush the wetland if due',
    detail:
      'Stir from the far end toward the vault, pump to planting beds, repeat until clear. Do not let the bed stand empty for over an hour.',
    readings: ['sludgeDepth'],
    safety: 'Vaults are confined spaces: nobody goes in. Stop and leave if it smells of rotten eggs.',
  },
  {
    key: 'edges',
    section: EMPTY,
    kind: 'do',
    title: 'Liner edges, stones, foam and levels',
    detail:
      'Edges covered, stones reset, gaps foamed so that water runs over and not around, falls lip slightly forward.',
    safety: 'Two people or a machine for stones above {25|mass}.',
  },
  {
    key: 'lights',
    section: EMPTY,
    kind: 'do',
    title: 'Lights cleaned, aimed, replaced',
    detail: 'Warranty noted for what was changed; ioniser probe gap clean, wiring hidden.',
  },
  {
    key: 'plants',
    section: EMPTY,
    kind: 'do',
    products: ['plant-food'],
    plants: ['divide', 'cut-back', 'plant-out', 'feed'],
    title: 'Divide and repot overgrown plants',
    detail: 'Fertiliser tablets in the baskets, never loose in the bed.',
  },
  {
    key: 'equipment',
    section: EMPTY,
    kind: 'do',
    title: 'Plumbing, pump, lamp',
    detail: 'Lamp renewed if it is over 12 months: write the date in the note.',
  },
  {
    key: 'refill-start',
    section: REFILL,
    kind: 'dose',
    title: 'Refill: saved water first, then tap with dechlorinator in portions',
    detail: 'Dose each portion as the water comes in, not afterwards.',
    quantity: 'dechlorinator',
    products: ['dechlorinator'],
    safety: 'Gloves and goggles. The label governs: never more than it allows, never mix products.',
  },
  {
    key: 'top-up',
    section: REFILL,
    kind: 'do',
    title: 'Pump on, find leaks, top up when filters and pipes are full',
    detail: 'Check the flow over every edge.',
    quantity: 'refill',
    safety: 'Power back on only when everyone is out of the water.',
  },
  {
    key: 'test-refilled',
    section: BACK,
    kind: 'measure',
    title: 'Test the refilled pond and the tank',
    detail: 'The fish stay in the tank until this test is safe.',
    readings: [...FISH_BACK_READINGS],
    required: [...FISH_BACK_READINGS],
  },
  {
    key: 'acclimate',
    section: BACK,
    kind: 'timer',
    title: 'Acclimate: mix pond water into the tank step by step',
    detail: 'About a quarter of the tank every five minutes.',
    timerMinutes: 20,
    waits: true,
  },
  {
    key: 'fish-back',
    section: BACK,
    kind: 'count-fish',
    title: 'Fish back, gently',
    detail: 'In the sling, lowered under water. Count them in.',
    gate: 'fish-back-safe',
  },
  {
    key: 'bacteria',
    section: BACK,
    kind: 'dose',
    products: ['cold-bacteria', 'bacteria'],
    title: 'Bacteria by the water’s temperature',
    detail: 'Cold-water culture below {10|temperature}, ordinary above. New pack in the dosing unit.',
    safety: 'The label governs the amount.',
  },
  { key: 'after-photos', section: FINISH, kind: 'photo', title: 'Photograph the finished pond' },
  { key: 'clean-up', section: FINISH, kind: 'do', title: 'Clean the site and count the tools' },
  {
    key: 'sign',
    section: FINISH,
    kind: 'sign',
    title: 'Tell the customer and sign off',
    detail: 'Murky for 24–48 hours. No feeding for 24 hours, then light. What was found.',
  },
]

export const SPRING_CLEANOUT: VisitType = {
  key: 'spring-cleanout',
  name: 'Spring cleanout',
  version: 3,
  steps,
  followUpDays: [3, 7],
  followUpTitle: 'Test TAN and nitrite after the cleanout',
  followUpReadings: ['tan', 'nitrite'],
  customerNote:
    'The water may look murky for a day or two. Please do not feed for 24 hours, then feed lightly for a week.',
}

/** @source house defaults; logged times correct the minutes */
export const SPRING_CLEANOUT_PLANNING: JobPlanning = {
  skills: ['fish'],
  kit: ['tank', 'washer'],
  value: 4,
  timing: 'window',
  hands: null,
  spoil: { baseM3: 0.3, perM2M3: 0.012 },
  fills: true,
  covers: ['spring-startup', 'wetland-flush'],
  takesAlong: [],
  after: [],
}
