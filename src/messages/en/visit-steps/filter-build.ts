export const filterBuild = {
  filterBuildServices: {
    title: 'Buried services marked before the first cut',
    safety:
      'Call the service that marks cables and pipes; dig by hand beside them. Walls, slabs and roofs are for a licensed engineer.',
  },
  filterBuildMarkOut: {
    title: 'Mark out bed, vault and pipe runs from the drawing',
  },
  filterBuildDig: {
    title: 'Dig or frame, level checked all round',
    safety: 'No one in a trench that can fall in. Machines: nobody within reach of the arm.',
  },
  filterBuildLiner: {
    title: 'Underlay, liner, underlay; folds laid, no wheel or sharp stone on it',
  },
  filterBuildModulesPhoto: {
    title: 'HOLD: photograph pipe pitch and modules before they are covered',
    detail: 'Spirit level on the distribution pipe in the picture; slots the way the drawing says.',
  },
  filterBuildVault: {
    title: 'Cleanout vault upright, lid and access free',
    safety: 'Open vaults are covered or guarded at all times.',
  },
  filterBuildRinseGravel: {
    title: 'Rinse gravel until it runs clear, layer by layer',
    safety: 'Lift wet media with two people or a machine above {heavy}.',
  },
  filterBuildLayersPhoto: {
    title: 'HOLD: photograph each layer with a tape',
  },
  filterBuildFill: {
    title: 'Fill by the meter, dechlorinator as it comes',
    detail: 'What the meter says is the true volume: write it down.',
    safety: 'Auto-fill needs a backflow preventer and a licensed plumber. The label governs.',
  },
  filterBuildLeakTest: {
    title: 'Leak test over 24 hours: what the level lost',
  },
  filterBuildFlow: {
    title: 'Flow and level set, every edge wet as drawn',
  },
  filterBuildPumpStop: {
    title: 'Pump-stop test: what drains back into the pond',
    detail: 'No more than the drawing predicts; no siphon runs on.',
  },
  filterBuildSeed: {
    title: 'Seed with mature media, gravel or pads from a healthy pond',
    detail: 'Pond water carries next to no bacteria: it only helps fish acclimate, and only if it is good.',
  },
  filterBuildPlant: {
    title: 'Plant by the plan, roots into the flow',
  },
  filterBuildHandOver: {
    title: 'Hand-over sheet: switches, valves, what to look at, whom to call',
  },
}
