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
import { ReadingsChart } from '@/ui/water/readings-chart'
import { Sheet } from '../sheet'

/** Tests with their verdicts, the trend with what was done between them, and whether water is lost. */
export function WaterTab({ data }: { data: PondWaterData }) {
  const t = useTexts()

  const { pond, readings, visits, waterLoss } = data
  const { role } = usePerson()
  const { today } = data
  const facts = useMemo(() => savedPondFacts(pond), [pond])
  const events = useMemo(
    () => visits.filter((v) => v.state === 'done').map((v) => ({ day: v.day, name: v.job.name })),
    [visits],
  )
  return (
    <div className="columns wide-left">
      <div>
        <Sheet title={t('ponds.pondView.waterOverTime')}>
          <ReadingsChart readings={readings} events={events} />
          {readings.length === 0 ? <p className="soft">{t('ponds.pondView.readingsFromVisitsGather')}</p> : null}
        </Sheet>
        {waterLoss ? (
          <Sheet title={t('ponds.pondView.losingWater')}>
            <WaterLossPanel pond={pond} loss={waterLoss} today={today} />
          </Sheet>
        ) : null}
      </div>
      <div>
        {may(role, 'visits.log') ? (
          <Sheet title={t('ponds.pondView.logReadings')}>
            <LogReadingsForm pondId={pond.id} deepestM={facts.basin.maxDepthM} />
          </Sheet>
        ) : null}
        <Sheet title={t('ponds.pondView.latestTests')}>
          <LatestReadings readings={readings} />
        </Sheet>
      </div>
    </div>
  )
}
