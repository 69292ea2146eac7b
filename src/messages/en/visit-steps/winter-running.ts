export const winterRunning = {
  winterRunningSkimmer: {
    title: 'Skimmer and pads clean for the winter',
    safety: 'Pump off and isolated before reaching into the skimmer.',
  },
  winterRunningIntake: {
    title: 'Raise the intake off the bottom',
    detail: 'The warmest water lies deepest: leave it still for the fish.',
  },
  winterRunningDeicer: {
    title: 'De-icer and aerator ready, with the date to switch on',
    safety: 'RCD/GFCI outlet and drip loop; wiring by a licensed electrician.',
  },
  winterRunningIceWatch: {
    title: 'Agree who watches for ice dams after every frost, and whom to call at night',
  },
  winterRunningNoFeed: {
    title: 'Tell: no feeding until the water is warm again',
  },
}
