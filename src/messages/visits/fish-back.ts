import { type Texts } from '../texts'
import type { FishBackReason } from '@/core/visits/fish-back-gate'
import type { QuantityKind } from '@/core/units/kinds'

type Show = (value: number, kind: QuantityKind) => string

/** Why fish must wait, and what ends the wait. */
export function fishBackText(reason: FishBackReason, show: Show, t: Texts): string {
  switch (reason.code) {
    case 'not-tested':
      return t('visits.fishBack.testRefilledPondFirst', {
        map: reason.missing.map((kind) => t(`water.readingNames.${kind}`).toLowerCase()).join(', '),
      })
    case 'ammonia':
      return t('visits.fishBack.toxicAmmoniaAboveChange', {
        nh3MgL: show(reason.nh3MgL, 'concentration'),
        limitMgL: show(reason.limitMgL, 'concentration'),
      })
    case 'nitrite':
      return t('visits.fishBack.nitriteAboveChangePart', {
        mgL: show(reason.mgL, 'concentration'),
        limitMgL: show(reason.limitMgL, 'concentration'),
      })
    case 'oxygen':
      return t('visits.fishBack.oxygenFishGoBack', {
        mgL: show(reason.mgL, 'concentration'),
        leastMgL: show(reason.leastMgL, 'concentration'),
      })
    case 'chlorine':
      return t('visits.fishBack.freeChlorineAddMissing', { mgL: show(reason.mgL, 'concentration') })
    case 'temperature-step':
      return t('visits.fishBack.tankPondDifferC', {
        differenceC: show(reason.differenceC, 'number'),
        limitC: show(reason.limitC, 'number'),
      })
    case 'too-cold-or-hot':
      return t('visits.fishBack.waterFishHandledBetween', {
        waterC: show(reason.waterC, 'temperature'),
        range: show(reason.range[0], 'temperature'),
        range2: show(reason.range[1], 'temperature'),
      })
  }
}
