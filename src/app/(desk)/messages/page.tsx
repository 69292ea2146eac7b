import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { noticeBoard } from '@/server/messages/notices'
import { MessagesView } from '@/ui/messages/messages-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.messages') }

export default async function MessagesPage() {
  return <MessagesView data={await forPage(noticeBoard)} />
}
