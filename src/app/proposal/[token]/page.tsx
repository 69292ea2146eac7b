import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { whenReachable } from '@/server/platform/http/page-actor'
import { publicProposal } from '@/server/proposals/proposals'
import { ProposalView } from '@/ui/proposals/proposal-view'
import { PersonProvider } from '@/ui/person-context'

const title = firmTexts()('shell.pages.proposal')
// what a messenger shows of a private link tells nothing of whose it is
export const metadata: Metadata = { title, robots: { index: false }, openGraph: { title, type: 'website' } }

/** What a customer reads through the private link. No sign-in: the link's secret is the key. */
export default async function ProposalPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const found = await whenReachable(() => publicProposal(token))
  const { content } = found
  return (
    <PersonProvider
      person={{
        name: content.customerName,
        role: 'technician',
        firmName: content.firmName,
        timeZone: 'Etc/UTC',
        preferences: { units: content.units, theme: 'light', region: 'system' },
      }}
    >
      <main id="main">
        <ProposalView publicProposal={found} token={token} />
      </main>
    </PersonProvider>
  )
}
