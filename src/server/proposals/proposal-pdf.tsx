import type { Region } from '@/domain/shared/region'
import { renderToBuffer } from '@react-pdf/renderer'
import { publicProposal } from '@/server/proposals/proposals'
import { ProposalDocument } from './proposal-document'

/** The proposal behind a private link as PDF bytes. */
export async function proposalPdf(
  token: string,
  region: Region = 'en-GB',
): Promise<{ bytes: Buffer; fileName: string }> {
  const found = await publicProposal(token)
  return {
    bytes: await renderToBuffer(<ProposalDocument publicProposal={found} region={region} />),
    fileName: `proposal-${found.number}.pdf`,
  }
}
