export const sharedSteps = {
  arrivePhotos: {
    title: 'Photograph the pond as found',
    detail: 'Whole pond, filter, skimmer, anything already broken.',
  },
  hazards: {
    title: 'Walk the site for hazards',
    safety:
      'Open water and open vaults are drowning hazards: cover or guard them whenever children may come near. Three points of contact on wet stone.',
  },
  isolate: {
    title: 'Isolate power and prove it dead',
    detail: 'At the disconnect; lock it, test.',
    safety:
      'Nobody reaches into the water before the supply is isolated, locked and proved dead. Wiring faults are for a licensed electrician.',
  },
  test: {
    title: 'Test the pond',
    detail: 'Before anything is stirred up.',
  },
  testTap: {
    title: 'Test the water that goes in',
    detail:
      'The chlorine found here sets the portions of dechlorinator, its temperature how fast it may run in. Its pH and KH are kept for the site: once is enough while the source stays the same.',
  },
  changeWater: {
    title: 'Part of the water out, treated water in',
    detail:
      'At most a third. Dechlorinator goes in by portions as the water comes, not afterwards. Write down how much was changed; 0 if none.',
    safety:
      'To planting beds; not to storm drains or streams unless the local rules allow it. The label governs: never more than it allows, never mix products.',
  },
  rinseMedia: {
    title: 'Pads and media: rinse part by part',
    detail:
      'Half of the biological media at most while fish are in the pond. Low pressure, in saved pond water. Note pads that are thin and what was replaced.',
    'pond-water': 'In pond water',
    'tap-water': 'In tap water, as a reset',
  },
  treatAlgae: {
    title: 'Algae treatment',
    detail:
      'Only if the house rules allow algae killers at all. Oxygen has to last the night. Never on a day on which algae die off by themselves.',
    safety: 'Pesticide law: a licensed applicator where it says so. The label governs; gloves and goggles.',
    'not-treated': 'Not treated',
    'treated-licensed': 'Treated, licensed, algae alive',
    'treated-unlicensed': 'Treated without a licence',
    'dying-off': 'Algae are dying off already',
  },
  bacteria: {
    title: 'Bacteria by the water’s temperature',
    detail:
      'Cold-water culture below {cold}, the ordinary one above and rising. New pack in the dosing unit if it is empty.',
    safety: 'The label governs the amount.',
  },
  lookAtFish: {
    title: 'Look the fish over, count losses',
    detail: 'Red fin tips, raised scales, clamped fins, cloudy skin, gasping, hiding.',
    safety: 'Signs of disease are for a vet or fish-health specialist; nothing is treated by guess.',
  },
  afterPhotos: {
    title: 'Photograph the pond as left',
  },
  tools: {
    title: 'Count the tools, leave the site clean',
  },
  sign: {
    title: 'Tell the customer and sign off',
    detail: 'What was found, what was done, what comes next, what they should do until then.',
  },
}
