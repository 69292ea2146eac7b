/**
 * Where a request comes from, as the server in front of the app has it; the last one named is the one that this
 * server itself saw.
 */
export const addressOf = (request: Request): string =>
  request.headers.get('x-forwarded-for')?.split(',').at(-1)?.trim() ?? ''
