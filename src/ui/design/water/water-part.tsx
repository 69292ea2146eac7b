'use client'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import type { DesignPart } from '@/ui/design/use-design'
import { DeliveryFields } from './delivery-fields'
import { DutySheet } from './duty-sheet'
import { FallsFields } from './falls-fields'
import { OutletFields } from './outlet-fields'
import { PumpFields } from './pump-fields'

/** Pump, pipes, fittings, the way back, falls: where they agree, and what that costs. */
export function WaterPart(part: DesignPart) {
  return (
    <>
      <div className="columns two">
        <DutySheet {...part} />
        <section className="sheet">
          <PumpFields {...part} />
          <DeliveryFields {...part} />
        </section>
      </div>
      <div className="columns two">
        {FILTER_TYPE_FACTS[part.bed.type].pipedOutlet ? <OutletFields {...part} /> : null}
        <FallsFields {...part} />
      </div>
    </>
  )
}
