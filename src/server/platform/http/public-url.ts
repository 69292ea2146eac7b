/**
 * The address under which people reach the app, for links in letters: as it is set, else where this app listens. A
 * request's own Host
 * header is not believed: whoever sends it would write the links.
 */
export const publicUrl = (): string =>
  (process.env.PUBLIC_URL || process.env.APP_ADDRESS || 'http://localhost').replace(/\/$/, '')
