import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { people } from '@/server/firm/firm'
import { PeopleView } from '@/ui/people/people-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.people') }

export default async function PeoplePage() {
  return <PeopleView {...await forPage(people)} />
}
