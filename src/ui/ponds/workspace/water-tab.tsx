'use client'
import { useMemo } from 'react'
import { may } from '@/domain/people/roles'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondWaterData } from '@/server/ponds/pond-pages'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { WaterLossPanel } from '@/ui/survey/water-loss'
import { LatestReadings } from '@/ui/water/latest-readings'
import { LogReadingsForm } from '@/ui/water/log-readings-form'
import { WaterRecord } from '@/ui/water/record/water-record'
import { Sheet } from '../sheet'

/** Tests with their verdicts, the trend with what was done between them, and whether water is lost. */
export function WaterTab({ data }: { data: PondWaterData }) {
  const t = useTexts()

  const { pond, readings, waterLoss } = data
  const { role } = usePerson()
  const { today } = data
  const facts = useMemo(() => savedPondFacts(pond), [pond])
  return (
    <div className="columns wide-left">
      <div>
        <Sheet title={t('ponds.pondView.waterOverTime')}>
          <WaterRecord data={data} />
        </Sheet>
        {waterLoss ? (
          <Sheet title={t('ponds.pondView.losingWater')}>
            <WaterLossPanel pond={pond} loss={waterLoss} today={today} />
          </Sheet>
        ) : null}
      </div>
      <div>
        <Sheet title={t('ponds.pondView.latestTests')}>
          <LatestReadings readings={readings} />
        </Sheet>
        {may(role, 'visits.log') ? (
          <Sheet title={t('ponds.pondView.logReadings')}>
            <LogReadingsForm pondId={pond.id} deepestM={facts.basin.maxDepthM} />
          </Sheet>
        ) : null}
      </div>
    </div>
  )
}
