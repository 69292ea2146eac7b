/** The line by which a dry-mounted pump draws its water. */
export const suction = {
  suction: {
    line: 'Dry-mounted, with a suction line',
    bore: 'Suction pipe',
    length: 'Suction length',
    lift: 'Pump above the water',
    liftHint: 'Below 0: the pump stands lower than the water and floods by itself.',
    footValve: 'Foot valve at the end of the suction',
    title: 'Pump can draw its water',
    noLine: 'This pump is dry-mounted and has no suction line.',
    noLineReason: 'A dry-mounted pump stands beside the water; without a line it draws nothing.',
    noLineRemedy: 'Add a suction line, or choose a submersible pump.',
    figure: 'Suction head (NPSH) {available}, needed {required}: pump {lift} above the water, {loss} lost in the line',
    reason:
      'With too little head at its suction, water boils in the pump: it rattles, wears and loses flow, first on hot days and high above the sea.',
    primeReason: 'A line that is not flooded empties when the pump stops; dry-running ruins the seal.',
    headRemedy: 'A wider or shorter suction line, or the pump lower down.',
    primeRemedy: 'Fit a foot valve, or set the pump below the water level.',
  },
} as const
