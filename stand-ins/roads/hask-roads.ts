/** Road classes of the island and how fast a van gets along on them, km/h. */
export const ROAD_SPEED = { main: 68, lane: 44, track: 22 } as const
export type RoadClass = keyof typeof ROAD_SPEED

/** Places where roads meet: longitude, latitude. */
export const JUNCTIONS: Readonly<Record<string, readonly [number, number]>> = {
  'marrow-quay': [-45.33, 45.0],
  'marrow-mill': [-45.28, 45.03],
  'gull-head': [-45.36, 45.08],
  'west-fork': [-45.2, 45.02],
  'upper-sallow': [-45.1, 45.07],
  'sallow-bridge': [-45.06, 45.03],
  'drove-top': [-45.06, 45.11],
  'cold-ash-common': [-45.0, 45.13],
  'cairn-end': [-44.94, 45.16],
  'tinkers-reach': [-44.98, 44.93],
  'reach-ford': [-45.02, 44.98],
  ferrygate: [-44.86, 45.01],
  'ferry-steps': [-44.8, 45.04],
  'east-strand': [-44.72, 45.0],
  'plover-green': [-45.05, 44.85],
  'plover-sands': [-45.12, 44.82],
  'south-fork': [-45.12, 44.92],
  'salt-hythe': [-45.22, 44.93],
  'ash-gate': [-44.93, 45.08],
  'low-marsh': [-44.88, 44.92],
}

/** Roads between junctions; some wind more than a straight line. */
export const ROADS: readonly {
  readonly from: string
  readonly to: string
  readonly class: RoadClass
  readonly winding: number
}[] = [
  { from: 'marrow-quay', to: 'marrow-mill', class: 'main', winding: 1.1 },
  { from: 'marrow-mill', to: 'west-fork', class: 'main', winding: 1.05 },
  { from: 'marrow-quay', to: 'gull-head', class: 'lane', winding: 1.3 },
  { from: 'marrow-mill', to: 'gull-head', class: 'track', winding: 1.3 },
  { from: 'west-fork', to: 'upper-sallow', class: 'main', winding: 1.1 },
  { from: 'west-fork', to: 'sallow-bridge', class: 'lane', winding: 1.1 },
  { from: 'upper-sallow', to: 'sallow-bridge', class: 'main', winding: 1.1 },
  { from: 'upper-sallow', to: 'drove-top', class: 'lane', winding: 1.25 },
  { from: 'drove-top', to: 'cold-ash-common', class: 'lane', winding: 1.2 },
  { from: 'cold-ash-common', to: 'cairn-end', class: 'track', winding: 1.3 },
  { from: 'cold-ash-common', to: 'ash-gate', class: 'main', winding: 1.15 },
  { from: 'ash-gate', to: 'ferrygate', class: 'main', winding: 1.1 },
  { from: 'cairn-end', to: 'ash-gate', class: 'track', winding: 1.3 },
  { from: 'sallow-bridge', to: 'reach-ford', class: 'main', winding: 1.1 },
  { from: 'reach-ford', to: 'tinkers-reach', class: 'main', winding: 1.1 },
  { from: 'reach-ford', to: 'ferrygate', class: 'main', winding: 1.15 },
  { from: 'ferrygate', to: 'ferry-steps', class: 'lane', winding: 1.1 },
  { from: 'ferry-steps', to: 'east-strand', class: 'lane', winding: 1.15 },
  { from: 'ferrygate', to: 'east-strand', class: 'lane', winding: 1.2 },
  { from: 'ferrygate', to: 'low-marsh', class: 'lane', winding: 1.2 },
  { from: 'tinkers-reach', to: 'low-marsh', class: 'lane', winding: 1.2 },
  { from: 'tinkers-reach', to: 'plover-green', class: 'main', winding: 1.1 },
  { from: 'plover-green', to: 'plover-sands', class: 'lane', winding: 1.15 },
  { from: 'plover-green', to: 'south-fork', class: 'lane', winding: 1.1 },
  { from: 'plover-sands', to: 'south-fork', class: 'track', winding: 1.2 },
  { from: 'south-fork', to: 'salt-hythe', class: 'lane', winding: 1.15 },
  { from: 'salt-hythe', to: 'marrow-quay', class: 'lane', winding: 1.2 },
  { from: 'south-fork', to: 'reach-ford', class: 'lane', winding: 1.1 },
]
