import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { ProposalInput } from '@/domain/proposals/proposal'
import { makeProposal } from '@/server/proposals/proposals'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: ProposalInput },
  ({ actor, path, body }) => makeProposal(actor, path.pondId, body),
)
