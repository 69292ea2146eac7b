/** How far ahead a forecast looked, in days; of several it is the one nearest to `best` that is held to account. */
export const LEADS = {
  near: { from: 1, to: 3, best: 2 },
  middle: { from: 4, to: 10, best: 7 },
  far: { from: 11, to: 21, best: 16 },
} as const
export type Lead = keyof typeof LEADS
export const LEAD_KEYS = Object.keys(LEADS) as Lead[]

/** The lead of a day so many days after a forecast was given out. */
export const leadOf = (days: number): Lead => LEAD_KEYS.find((lead) => days <= LEADS[lead].to) ?? 'far'
