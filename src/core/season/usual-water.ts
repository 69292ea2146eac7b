/**
 * Expected water of 52 weeks of a temperate year, °C: where a pond has no season of its own yet.
 * @source house default
 */
export const USUAL_WEEKS: readonly number[] = Array.from(
  { length: 52 },
  (_, week) => 11 - 9 * Math.cos((2 * Math.PI * (week - 3)) / 52),
)
