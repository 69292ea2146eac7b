import { DEFAULT_LAYERS } from '../bed/layers'
import type { FilterTypeFacts } from './facts'

/**
 * No bed of its own: the pond's shelves, a skimmer and other equipment do the work.
 * @source domain defaults of the trade
 */
export const NO_BED: FilterTypeFacts = {
  path: 'none',
  pondM3: [0, 100_000],
  vessels: false,
  walled: false,
  lined: false,
  alongShore: false,
  pipedOutlet: false,
  usualDepthM: 0,
  proportion: 1,
  layers: DEFAULT_LAYERS,
  waterOverGravelM: 0,
  vaultDiameterM: null,
}
