import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { placesForNewPond } from '@/server/ponds/ponds'
import { NewPondForm } from '@/ui/ponds/new-pond-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.addPond') }

export default async function NewPondPage() {
  const places = await forPage(placesForNewPond)
  return (
    <>
      <div className="page-head">
        <h1>Add a pond</h1>
        <span className="soft">Any field takes any unit: 12 ft 6 in, 3.8 m, 900 gal.</span>
      </div>
      <NewPondForm places={places} />
    </>
  )
}
