import type { DemoSite } from './sites'

/** Towns of the invented island, out in open ocean: longitude, latitude. */
export const TOWNS: Readonly<Record<string, readonly [number, number]>> = {
  'Marrow Quay': [-45.33, 45.0],
  'Upper Sallow': [-45.1, 45.07],
  'Tinker’s Reach': [-44.98, 44.93],
  'Cold Ash Common': [-45.0, 45.13],
  Ferrygate: [-44.86, 45.01],
  'Plover Green': [-45.05, 44.85],
}

/** A site lies within a few kilometres of its town; where exactly follows from its name, so that it stays put. */
export function placeOf({ site, town }: Pick<DemoSite, 'site' | 'town'>): { lat: number; lon: number } {
  const [lon, lat] = TOWNS[town]!
  let hash = 7
  for (const letter of site) hash = (hash * 31 + letter.charCodeAt(0)) % 100_003
  const angle = (hash % 360) * (Math.PI / 180)
  const far = 0.004 + 0.03 * ((hash % 97) / 97)
  return {
    lat: Number((lat + far * Math.sin(angle)).toFixed(5)),
    lon: Number((lon + (far * Math.cos(angle)) / Math.cos((lat * Math.PI) / 180)).toFixed(5)),
  }
}
