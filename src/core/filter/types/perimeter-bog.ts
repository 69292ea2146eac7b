import type { FilterTypeFacts } from './facts'

/**
 * A band of planted stone along the shore, flowed through upwards.
 * @source domain defaults of the trade
 */
export const PERIMETER_BOG: FilterTypeFacts = {
  path: 'up',
  pondM3: [1, 5_000],
  vessels: false,
  walled: false,
  lined: true,
  alongShore: true,
  pipedOutlet: false,
  usualDepthM: 0.6,
  proportion: 10,
  layers: [
    { material: 'gravel-19-38', thicknessM: 0.25 },
    { material: 'planting-6-12', thicknessM: 0.1 },
  ],
  waterOverGravelM: 0,
  vaultDiameterM: 0.4,
}
