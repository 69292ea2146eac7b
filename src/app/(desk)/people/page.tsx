import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { people } from '@/server/firm/firm'
import { PeopleView } from '@/ui/people/people-view'

export const metadata: Metadata = { title: 'People' }

export default async function PeoplePage() {
  return <PeopleView {...await forPage(people)} />
}
