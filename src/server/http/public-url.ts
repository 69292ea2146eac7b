/** The address under which people reach the app: as it is set, else as this request came. */
export const publicUrl = (request: Request): string => (process.env.PUBLIC_URL || `http://${request.headers.get('host') ?? 'localhost'}`).replace(/\/$/, '')
