import { DEFAULT_LAYERS } from '../bed/layers'
import type { FilterTypeFacts } from './facts'

/**
 * A lined bed between walls above the ground.
 * @source domain defaults of the trade
 */
export const RAISED_TROUGH: FilterTypeFacts = {
  path: 'up',
  pondM3: [0.5, 200],
  vessels: false,
  walled: true,
  lined: true,
  alongShore: false,
  pipedOutlet: true,
  usualDepthM: 1,
  proportion: 4,
  layers: DEFAULT_LAYERS,
  waterOverGravelM: 0,
  vaultDiameterM: 0.4,
}
