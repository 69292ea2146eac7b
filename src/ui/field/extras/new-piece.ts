/** Chosen where something is not in the list yet. */
export const NEW_PIECE = 'new'
