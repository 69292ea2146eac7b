import { z } from 'zod'
import { BenchDraft } from '@/domain/design/bench-draft'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { discardBenchDraft, keepBenchDraft } from '@/server/design/designs'

const path = z.object({ pondId: PondId })

export const PUT = signedInRoute({ path, body: BenchDraft }, ({ actor, path, body }) => keepBenchDraft(actor, path.pondId, body))
export const DELETE = signedInRoute({ path }, ({ actor, path }) => discardBenchDraft(actor, path.pondId))
