import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { ProposalInput } from '@/domain/proposal'
import { makeProposal } from '@/server/use-cases/proposals'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: ProposalInput }, ({ actor, path, body }) =>
  makeProposal(actor, path.pondId, body),
)
