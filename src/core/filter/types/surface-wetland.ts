import type { FilterTypeFacts } from './facts'

/**
 * A shallow planted channel that water runs over: for polishing and wildlife.
 * @source domain defaults of the trade
 */
export const SURFACE_WETLAND: FilterTypeFacts = {
  path: 'over',
  pondM3: [1, 100_000],
  vessels: false,
  walled: false,
  lined: true,
  alongShore: false,
  pipedOutlet: false,
  usualDepthM: 0.25,
  proportion: 5,
  layers: [{ material: 'planting-6-12', thicknessM: 0.12 }],
  waterOverGravelM: 0.15,
  vaultDiameterM: 0.4,
}
