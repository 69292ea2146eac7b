/**
 * Pictures are shared to the worker script on the device and never come here; a device that has none yet is sent to the
 * field sheet, which brings it.
 */
export const POST = (): Response => new Response(null, { status: 303, headers: { location: '/field' } })
