import type { FilterTypeFacts } from './facts'

/**
 * Barrels, tubs or troughs of stone: for small ponds and balconies.
 * @source domain defaults of the trade
 */
export const CONTAINER_BOG: FilterTypeFacts = {
  path: 'up',
  pondM3: [0, 10],
  vessels: true,
  walled: false,
  lined: false,
  alongShore: false,
  pipedOutlet: true,
  usualDepthM: 0.9,
  proportion: 1,
  layers: [
    { material: 'bridging-stone', thicknessM: 0.2 },
    { material: 'gravel-19-38', thicknessM: 0.35 },
    { material: 'planting-6-12', thicknessM: 0.1 },
  ],
  waterOverGravelM: 0,
  vaultDiameterM: 0.1,
}
