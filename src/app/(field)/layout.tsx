import type { ReactNode } from 'react'
import { pageActor } from '@/server/http/page-actor'
import { PersonProvider } from '@/ui/person-context'
import { FieldBar } from '@/ui/field/field-bar'

export default async function FieldLayout({ children }: { children: ReactNode }) {
  const { name, role, firmName, timeZone, preferences } = await pageActor()
  return (
    <PersonProvider person={{ name, role, firmName, timeZone, preferences }}>
      <FieldBar />
      <main id="main" className="field-page">
        {children}
      </main>
    </PersonProvider>
  )
}
