import { z } from 'zod'
import { DesignFile } from '@/domain/design/design-file'

/** JSON Schema of a design file; holds nothing of any firm, so it needs no sign-in. */
export function GET(): Response {
  return Response.json(z.toJSONSchema(DesignFile, { io: 'input', unrepresentable: 'any' }))
}
