import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { proposalList } from '@/server/proposals/proposals'
import { ProposalsList } from '@/ui/proposals/proposals-list'

export const metadata: Metadata = { title: firmTexts()('shell.pages.proposals') }

export default async function ProposalsPage() {
  return <ProposalsList {...await forPage(proposalList)} />
}
