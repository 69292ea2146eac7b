import type { DesignResult } from '@/core/filter/design'
import type { FilterDesign } from '@/core/filter/design-input'
import type { Texts } from '../texts'
import type { Show } from './checks'
import { unitSizeWords } from './unit-size-words'

/** The train in one line: the pipes that lead to it, and its units in their order with their sizes; '' without any. */
export function trainWords(
  { intakePipe }: Pick<FilterDesign, 'intakePipe'>,
  { train }: Pick<DesignResult, 'train'>,
  show: Show,
  t: Texts,
): string {
  const flow = (m3PerH: number) => show(m3PerH, 'flow')
  const units = train.units.map(({ unit, size }) =>
    t('train.page.unitOfSize', {
      name: t(`design.trainNames.${unit.kind}`),
      size: unitSizeWords(unit.kind, size, { flow, t }),
      past: unit.overflow ? 'yes' : 'no',
    }),
  )
  const bore = intakePipe && show(intakePipe.diameterM, 'length', { scale: 'small' })
  return [
    ...(intakePipe ? [t('train.page.intakePipes', { count: intakePipe.count, bore: bore! })] : []),
    ...units,
  ].join(', ')
}
