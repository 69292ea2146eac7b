import { z } from 'zod'
import { ProposalId } from '@/domain/shared/ids'
import { renewLink } from '@/server/proposals/proposals'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute({ path: z.object({ proposalId: ProposalId }) }, ({ actor, path }) =>
  renewLink(actor, path.proposalId),
)
