import { renderToBuffer } from '@react-pdf/renderer'
import { offer } from '@/server/proposals/proposals'
import { ProposalDocument } from './proposal-document'

/** The proposal behind a private link as PDF bytes. */
export async function proposalPdf(token: string): Promise<{ bytes: Buffer; fileName: string }> {
  const found = await offer(token)
  return { bytes: await renderToBuffer(<ProposalDocument offer={found} />), fileName: `proposal-${found.number}.pdf` }
}
