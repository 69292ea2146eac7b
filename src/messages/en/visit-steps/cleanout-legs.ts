export const cleanoutLegs = {
  tanksMorning: {
    title: 'Holding tanks as found in the morning',
    detail: 'Aerator running, covers on, fish calm. Count any dead before anything else.',
  },
  tanksOvernight: {
    title: 'Make the holding tanks safe for the night',
    detail:
      'Aerator on a supply that stays on, with a second one running or at hand; tanks shaded, covered and out of reach of herons and cats; hose secured so that the refill cannot overflow or siphon back.',
    safety:
      'Somebody has to look at the tanks and the hose in the evening: name who. An unwatched open pond and tanks are drowning hazards: guard them.',
  },
}
