import type { ReactNode } from 'react'
import { pageActor } from '@/server/http/page-actor'
import { PersonProvider } from '@/ui/person-context'
import { TopBar } from '@/ui/shell/top-bar'

export default async function DeskLayout({ children }: { children: ReactNode }) {
  const { name, role, firmName, timeZone, preferences } = await pageActor()
  return (
    <PersonProvider person={{ name, role, firmName, timeZone, preferences }}>
      <TopBar />
      <main id="main">{children}</main>
    </PersonProvider>
  )
}
