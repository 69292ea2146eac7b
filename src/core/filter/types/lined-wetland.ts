import { DEFAULT_LAYERS } from '../bed/layers'
import type { FilterTypeFacts } from './facts'

/**
 * A dug, lined bed over a sediment chamber, flowed through upwards: for most client ponds.
 * @source domain defaults of the trade
 */
export const LINED_WETLAND: FilterTypeFacts = {
  path: 'up',
  pondM3: [1, 100_000],
  vessels: false,
  walled: false,
  lined: true,
  alongShore: false,
  pipedOutlet: false,
  usualDepthM: 1.2,
  proportion: 2,
  layers: DEFAULT_LAYERS,
  waterOverGravelM: 0,
  vaultDiameterM: 0.4,
}
