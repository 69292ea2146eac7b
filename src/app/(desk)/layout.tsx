import type { ReactNode } from 'react'
import { pageActor } from '@/server/platform/http/page-actor'
import { NuqsAdapter } from 'nuqs/adapters/next/app'
import { ServerData } from '@/ui/kit/server-data'
import { PersonProvider } from '@/ui/person-context'
import { SimulatedNote } from '@/ui/shell/simulated-note'
import { PageChange } from '@/ui/shell/page-change'
import { FollowTheme } from '@/ui/shell/follow-theme'
import { TopBar } from '@/ui/shell/top-bar'

export default async function DeskLayout({ children }: { children: ReactNode }) {
  const { name, role, firmName, timeZone, preferences } = await pageActor()
  return (
    <PersonProvider person={{ name, role, firmName, timeZone, preferences }}>
      <FollowTheme choice={preferences.theme} />
      <NuqsAdapter>
        <ServerData>
          <PageChange />
          <TopBar />
          {role === 'owner' ? (
            <SimulatedNote simulated={(process.env.SIMULATED ?? '').split(',').filter(Boolean)} />
          ) : null}
          <main id="main">{children}</main>
        </ServerData>
      </NuqsAdapter>
    </PersonProvider>
  )
}
