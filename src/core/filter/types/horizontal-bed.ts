import type { FilterTypeFacts } from './facts'

/**
 * A shallow bed that water runs along from end to end.
 * @source domain defaults of the trade
 */
export const HORIZONTAL_BED: FilterTypeFacts = {
  path: 'along',
  pondM3: [0.5, 5_000],
  vessels: false,
  walled: false,
  lined: true,
  alongShore: false,
  pipedOutlet: true,
  usualDepthM: 0.3,
  proportion: 0.5,
  layers: [{ material: 'planting-6-12', thicknessM: 0.25 }],
  waterOverGravelM: 0,
  vaultDiameterM: 0.4,
}
