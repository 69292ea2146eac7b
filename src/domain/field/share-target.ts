/** Where other apps of a phone share pictures to, and the field of the form that holds them. */
export const SHARE_PATH = '/field/share'
export const SHARE_FIELD = 'photos'
/** Where the field sheet is opened when what was shared could not be kept. */
export const SHARE_LOST = '/field?shared=lost'
