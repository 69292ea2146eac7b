'use client'
import type { PondEquipmentData } from '@/server/ponds/pond-pages'
import { EquipmentSheet } from '@/ui/equipment/equipment-sheet'
import { GearSheet } from '@/ui/equipment/gear-sheet'
import { useTexts } from '@/ui/kit/texts'
import { Sheet } from '../sheet'

/** What is fitted and when it is due, beside what the seasons bring in and out. */
export function EquipmentTab({ data }: { data: PondEquipmentData }) {
  const t = useTexts()

  const { today } = data
  return (
    <div className="columns wide-left">
      <Sheet title={t('ponds.pondView.equipment')}>
        <EquipmentSheet pondId={data.pond.id} equipment={data.equipment} today={today} />
      </Sheet>
      <Sheet title={t('ponds.pondView.seasonalGear')}>
        <GearSheet gear={data.gear} cuttingBuckets={data.cuttingBuckets} />
      </Sheet>
    </div>
  )
}
