import { formatNumber } from '@/core/units/format'
import type { TrainKind } from '@/core/filter/train/train-unit'
import { UNIT_SIZES } from '@/core/filter/train/unit-sizes'
import type { Texts } from '../texts'

/** The size that a unit is bought in, in what its kind is sold by. @param flow writes a flow in the reader's units */
export function unitSizeWords(
  kind: TrainKind,
  size: number,
  { flow, t }: { readonly flow: (m3PerH: number) => string; readonly t: Texts },
): string {
  const { by } = UNIT_SIZES[kind]
  if (by === 'ratedFlowM3PerH') return flow(size)
  return by === 'mediaL'
    ? t('train.schedule.litres', { litres: size })
    : t('train.page.power', { watts: formatNumber(size) })
}
