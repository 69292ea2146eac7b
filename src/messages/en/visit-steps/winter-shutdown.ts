export const winterShutdown = {
  winterShutdownDrain: {
    title: 'Pump off; filters and pipes drained, the breather open',
  },
  winterShutdownLeaves: {
    title: 'About a third of the water out with the leaves, treated water in',
    detail:
      'At most a third. Dechlorinator goes in by portions as the water comes, not afterwards. Write down how much was changed; 0 if none.',
    safety:
      'To planting beds; not to storm drains or streams unless the local rules allow it. The label governs: never more than it allows, never mix products.',
  },
  winterShutdownSalt: {
    title: 'Winter salt, where the house rules say so and the plants allow',
    detail: 'Write down what went in; 0 for none. It leaves only with water.',
  },
  winterShutdownStore: {
    title: 'Pump and lamp cleaned and stored frost-free',
    detail: 'The pump kept wet if its seals want it. Media out or kept, by the house rules. Record where.',
    safety: 'Lift with two people or a machine above {heavy}.',
  },
  winterShutdownCaps: {
    title: 'Pipe ends covered against animals',
  },
  winterShutdownDeicer: {
    title: 'De-icer and aerator in place, with the date to switch on',
    safety: 'RCD/GFCI outlet and drip loop; wiring by a licensed electrician.',
  },
  winterShutdownFallsSafe: {
    title: 'Falls and edges safe for the winter',
    detail: 'Nothing loose that ice can lift; level looked at again after the first freeze.',
  },
}
