'use client'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import type { DosesData } from '@/server/water/doses'
import { ChangePlanner } from './change-planner'
import { DosePlanner } from './dose-planner'
import { MixPlanner } from './mix-planner'

/**
 * The arithmetic of a pond's water: doses by the label, water changes to a target, mixing, with the gates that stand
 * in the way.
 */
export function DosesView({ data }: { data: DosesData }) {
  const t = useTexts()

  const show = useShow()
  return (
    <>
      <div className="tab-head">
        <h2>{t('water.dosesView.dosesChanges')}</h2>
        <span className="soft">
          {t('water.dosesView.wholeSystemHoldsPond', { totalM3: show(data.system.totalM3, 'volume') })}
        </span>
      </div>
      <div className="columns">
        <DosePlanner data={data} />
        <div>
          <ChangePlanner data={data} />
          <MixPlanner data={data} />
        </div>
      </div>
      <p className="soft">{t('water.dosesView.labelGovernsLocalCodes')}</p>
    </>
  )
}
