/** Spread of the rest of a usual day's stops, minutes. @source house default */
const REST_OF_DAY_MIN = 30
/** A day is to end in time in four of five. */
const Z80 = 0.8416
const STEP_MIN = 5

/**
 * Minutes to keep free after a visit because its length is not known: its share of what a day needs to end in time in
 * four of five, to a step. Spreads add up by their squares, so that short visits need next to none.
 * @param sdMin standard deviation of its length, minutes
 */
export const spareMinutes = (sdMin: number): number =>
  Math.round((Z80 * sdMin ** 2) / Math.hypot(sdMin, REST_OF_DAY_MIN) / STEP_MIN) * STEP_MIN
