import type { KIT } from '@/core/visits/planning-facts'
import { textId, type Texts } from '../texts'
import { amountWords } from '../water/amount-words'
import { clockOf } from '../../domain/people/crew-setup'
import type { DayLoad } from '../../domain/rounds/day-load'
import type { LoadList } from '../../domain/rounds/load-list'

type Show = (value: number, kind: 'volume' | 'length' | 'mass', options?: { scale: 'small' }) => string

/** When a crew leaves its yard and is back; '' where neither is known. */
export function yardWords({ leavesMin, backMin }: Pick<DayLoad, 'leavesMin' | 'backMin'>, t: Texts): string {
  if (leavesMin !== null && backMin !== null)
    return t('rounds.dayLane.leaves', { leaves: clockOf(leavesMin), back: clockOf(backMin) })
  if (leavesMin !== null) return t('rounds.dayLane.leavesOnly', { leaves: clockOf(leavesMin) })
  return backMin === null ? '' : t('rounds.dayLane.backOnly', { back: clockOf(backMin) })
}

/** What to load, line by line; the same words on screen and paper. */
export function loadLines(load: LoadList, show: Show, t: Texts): string[] {
  return [
    ...load.kit
      .filter((key) => !(key === 'tank' && load.tank))
      .map((key) => t(`people.kitNames.${key as (typeof KIT)[number]}`)),
    ...(load.tank
      ? [
          t('rounds.loadWords.holdingTankLeastAcross', {
            volumeM3: show(load.tank.volumeM3, 'volume', { scale: 'small' }),
            minWidthM: show(load.tank.minWidthM, 'length'),
          }),
        ]
      : []),
    ...load.products.map((p) =>
      t('rounds.loadWords.testSiteDecides', { name: p.name, amount: amountWords(p.amount, p.unit) }),
    ),
    ...(load.tapWaterM3 > 0
      ? [t('rounds.loadWords.hoseTapWater', { tapWaterM3: show(load.tapWaterM3, 'volume') })]
      : []),
    ...load.parts.map(({ site, task }) => t('rounds.loadWords.part', { site, task })),
    t('rounds.loadWords.firstAidKitRcd'),
  ]
}

export const LOAD_CAUTION = textId('rounds.loadWords.liftTwoPeopleMachine')
