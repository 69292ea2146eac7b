import type { TrainKind } from '../filter/train/train-unit'
import type { EquipmentKindKey } from './equipment-care'

/** What of a filter train wears out, as the pond's register of equipment has it; other units are seen to at visits. */
export const TRAIN_EQUIPMENT: Readonly<Partial<Record<TrainKind, EquipmentKindKey>>> = {
  sieve: 'screen',
  drum: 'screen',
  pressurised: 'filter-seals',
  uv: 'uv-lamp',
  ioniser: 'ioniser-probe',
  'falls-box': 'filter-pads',
  'dosing-unit': 'dosing-unit',
  aerator: 'aerator',
}
