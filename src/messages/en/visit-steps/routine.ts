export const routine = {
  routineLevel: {
    title: 'Level: write down the drop, top up',
    detail:
      'Treated mains water is dechlorinated as it runs in. A drop that the weather does not explain is a leak: note it.',
  },
  routineSkimmer: {
    title: 'Skimmer basket emptied, mat if needed',
    safety: 'Pump off and isolated before reaching into the skimmer.',
  },
  routineFlow: {
    title: 'Flow over the falls, pump noise',
    detail: 'Look at the sheet, time a bucket. A weak sheet is the first sign of a clogged basket, pump or bed.',
  },
  routineEquipment: {
    title: 'Lamp on and its age, ioniser, dosing unit',
    detail: 'A lamp over its age glows and does nothing. Write down what was renewed.',
    safety: 'Never look into a burning UV lamp; isolate before opening the housing.',
  },
  routineChangeWater: {
    title: 'Part of the water out, treated water in',
    detail:
      'Only where the house rules or the tests ask for it, at most a third. Dechlorinator by portions as it comes. Record how much; 0 if none.',
    safety:
      'To planting beds; not to storm drains or streams unless the local rules allow it. The label governs: never more than it allows, never mix products.',
  },
  routinePlants: {
    title: 'Plants: deadhead, thin, yellow leaves out',
    detail:
      'Clear {clear} around skimmer mouths and screens; floating plants to half of the water. Count the buckets taken away.',
  },
  routineAlgae: {
    title: 'String algae',
    detail:
      'Tolerate in the wetland, on spillway sides and stream gravel; take away from falls faces, where it blocks flow, and where the stone is to be seen.',
    none: 'None to speak of',
    left: 'Left where it does no harm',
    removed: 'Removed by hand',
  },
  routineBacteria: {
    title: 'Bacteria by the water’s temperature',
    detail:
      'Where the house rules add any: cold-water culture below {cold}, the ordinary one above. New pack in the dosing unit if it is empty.',
    safety: 'The label governs the amount.',
  },
  routineFeedAdvice: {
    title: 'Feeding: tell what the water’s temperature allows',
    detail: 'Nothing below {cold}, low protein to {normal}, by appetite above; none while ammonia or nitrite show.',
  },
}
