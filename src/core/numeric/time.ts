/** Milliseconds of the parts of a day, for times that machines write. */
export const MINUTE_MS = 60_000
export const HOUR_MS = 3_600_000
export const DAY_MS = 86_400_000
