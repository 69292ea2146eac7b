/**
 * Share of falling leaves that a net over the whole pond keeps out, and that people take off without one.
 * @source trade experience
 */
export const LEAVES_KEPT = { net: 0.9, hands: 0.15 } as const
