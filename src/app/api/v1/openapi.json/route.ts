import { openApiDocument } from '@/calc/openapi'

/** Describes the calculations; holds nothing of any firm, so it needs no sign-in. */
export function GET(): Response {
  return Response.json(openApiDocument())
}
