import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { noticeBoard } from '@/server/use-cases/notices'
import { LettersView } from '@/ui/letters/letters-view'

export const metadata: Metadata = { title: 'Letters' }

export default async function LettersPage() {
  return <LettersView data={await forPage(noticeBoard)} />
}
