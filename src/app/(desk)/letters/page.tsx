import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { noticeBoard } from '@/server/messages/notices'
import { LettersView } from '@/ui/messages/letters-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.messages') }

export default async function LettersPage() {
  return <LettersView data={await forPage(noticeBoard)} />
}
