import { z } from 'zod'
import { ProposalId } from '@/domain/ids'
import { renewLink } from '@/server/use-cases/proposals'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ proposalId: ProposalId }) }, ({ actor, path }) => renewLink(actor, path.proposalId))
