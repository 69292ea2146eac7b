'use client'
import Link from 'next/link'
import { useShow } from '@/ui/person-context'
import type { DosesData } from '@/server/water/doses'
import { ChangePlanner } from './change-planner'
import { DosePlanner } from './dose-planner'
import { MixPlanner } from './mix-planner'

/** The arithmetic of a pond's water: doses by the label, water changes to a target, mixing, with the gates that stand in the way. */
export function DosesView({ data }: { data: DosesData }) {
  const show = useShow()
  return (
    <>
      <div className="page-head">
        <h1>Doses and changes</h1>
        <Link href={`/ponds/${data.pond.id}`}>
          {data.pond.siteName}: {data.pond.name}
        </Link>
        <span className="soft">
          The whole system holds {show(data.system.totalM3, 'volume')}: a pond dose treats all of it, a refill dose the new water only.
        </span>
      </div>
      <div className="columns">
        <DosePlanner data={data} />
        <div>
          <ChangePlanner data={data} />
          <MixPlanner data={data} />
        </div>
      </div>
      <p className="soft">The label governs. Local codes and licensed practice decide.</p>
    </>
  )
}
