/** What holds the water in a pond. An old liner is one that may no longer be cut or folded. */
export const POND_LININGS = ['unknown', 'liner', 'old-liner', 'preformed', 'concrete', 'clay'] as const
export type PondLining = (typeof POND_LININGS)[number]
