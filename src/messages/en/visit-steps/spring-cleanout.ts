export const springCleanout = {
  springCleanoutKit: {
    title: 'Load the kit',
    detail:
      'Waders, gloves, holding tanks with cover nets and aerator, fish nets and a water-carrying sling, clean-out pumps and hose, pressure washer, wet vacuum, foam, fertiliser tablets, dechlorinator, bacteria, spare pads, lamp if due.',
    safety: 'Lift with two people or a machine above {heavy}.',
  },
  springCleanoutHazards: {
    title: 'Walk the site for hazards',
    safety:
      'An emptied pond and an open vault are falls and drowning hazards: cover or guard them whenever children may come near. Three points of contact on wet stone.',
  },
  springCleanoutIsolate: {
    title: 'Isolate power and prove it dead',
    detail: 'Pump, lamp, lights, de-icer off at the disconnect, lock it, test.',
    safety:
      'Nobody enters the water before the supply is isolated, locked and proved dead. Wiring faults are for a licensed electrician.',
  },
  springCleanoutTestTap: {
    title: 'Test the tap',
    detail: 'The chlorine found here sets the dechlorinator portions.',
  },
  springCleanoutWinterGear: {
    title: 'Net, de-icer and winter aerator off',
    detail: 'Debris out of the net; dry, bag, label, store where agreed.',
  },
  springCleanoutSavedWater: {
    title: 'Is the pond water clean enough to keep?',
    detail:
      'Fill the holding tanks with good pond water first. If it is green or foul use a little and top up with dechlorinated tap water.',
    'pond-water': 'Clean: tanks filled with pond water',
    'tap-water': 'Green or foul: mostly treated tap water',
  },
  springCleanoutTanksReady: {
    title: 'Tanks in shade, aerator running, cover nets to hand',
    detail: 'Before the first fish arrives.',
  },
  springCleanoutPumpDown: {
    title: 'Pump down with the intake guarded',
    detail: 'To planting beds where allowed. Stop at about {level}.',
    safety: 'Not to storm drains or streams unless the local rules allow it.',
  },
  springCleanoutFishOut: {
    title: 'Net, move and count the fish',
    detail:
      'Largest first, always supported in water, in the sling. Look for red fin tips, raised scales, cloudy skin. Measure a few. Cover the tank.',
  },
  springCleanoutTankWatch: {
    title: 'Watch the holding tank',
    detail: 'Oxygen and temperature every 15 minutes while fish are in it.',
  },
  springCleanoutDrain: {
    title: 'Finish draining and lift out big debris by hand',
  },
  springCleanoutRinseStone: {
    title: 'Rinse from the top of the falls downward',
    detail:
      'Chase the dirt to the pump. Do not scrub to bare stone: leave some film and algae. Rinse again until it runs clear.',
    safety:
      'Pressure washer: goggles, boots, nobody in front of the lance. Rotten-egg smell: stop, get out, ventilate.',
  },
  springCleanoutSkimmer: {
    title: 'Skimmer: basket, mat, pump vault',
  },
  springCleanoutMedia: {
    title: 'Waterfall box: media and pads',
    detail:
      'Rinse in saved pond water at low pressure. Never chlorinated water, never high pressure. Note pads that are thin and what was replaced.',
    'pond-water': 'In pond water',
    'tap-water': 'In tap water, as a reset',
  },
  springCleanoutFlush: {
    title: 'Flush the wetland if due',
    detail:
      'Stir from the far end toward the vault, pump to planting beds, repeat until clear. Do not let the bed stand empty for over an hour.',
    safety: 'Vaults are confined spaces: nobody goes in. Stop and leave if it smells of rotten eggs.',
  },
  springCleanoutEdges: {
    title: 'Liner edges, stones, foam and levels',
    detail:
      'Edges covered, stones reset, gaps foamed so that water runs over and not around, falls lip slightly forward.',
    safety: 'Two people or a machine for stones above {heavy}.',
  },
  springCleanoutLights: {
    title: 'Lights cleaned, aimed, replaced',
    detail: 'Warranty noted for what was changed; ioniser probe gap clean, wiring hidden.',
  },
  springCleanoutPlants: {
    title: 'Divide and repot overgrown plants',
    detail: 'Fertiliser tablets in the baskets, never loose in the bed.',
  },
  springCleanoutEquipment: {
    title: 'Plumbing, pump, lamp',
    detail: 'Lamp renewed if it is over 12 months: write the date in the note.',
  },
  springCleanoutRefillStart: {
    title: 'Refill: saved water first, then tap with dechlorinator in portions',
    detail: 'Dose each portion as the water comes in, not afterwards.',
    safety: 'Gloves and goggles. The label governs: never more than it allows, never mix products.',
  },
  springCleanoutTopUp: {
    title: 'Pump on, find leaks, top up when filters and pipes are full',
    detail: 'Check the flow over every edge.',
    safety: 'Power back on only when everyone is out of the water.',
  },
  springCleanoutTestRefilled: {
    title: 'Test the refilled pond and the tank',
    detail: 'The fish stay in the tank until this test is safe.',
  },
  springCleanoutAcclimate: {
    title: 'Acclimate: mix pond water into the tank step by step',
    detail: 'About a quarter of the tank every five minutes.',
  },
  springCleanoutFishBack: {
    title: 'Fish back, gently',
    detail: 'In the sling, lowered under water. Count them in.',
  },
  springCleanoutBacteria: {
    title: 'Bacteria by the water’s temperature',
    detail: 'Cold-water culture below {cold}, ordinary above. New pack in the dosing unit.',
    safety: 'The label governs the amount.',
  },
  springCleanoutAfterPhotos: {
    title: 'Photograph the finished pond',
  },
  springCleanoutCleanUp: {
    title: 'Clean the site and count the tools',
  },
  springCleanoutSign: {
    title: 'Tell the customer and sign off',
    detail: 'Murky for 24–48 hours. No feeding for 24 hours, then light. What was found.',
  },
}
