import type { LoadList } from './load-list'
import { KIT_NAMES } from './crew-setup'

type Show = (value: number, kind: 'volume' | 'length' | 'mass', options?: { scale: 'small' }) => string

/** What to load, line by line; the same words on screen and paper. */
export function loadLines(load: LoadList, show: Show): string[] {
  return [
    ...load.kit.filter((key) => !(key === 'tank' && load.tank)).map((key) => KIT_NAMES[key as keyof typeof KIT_NAMES]),
    ...(load.tank
      ? [
          `Holding tank of at least ${show(load.tank.volumeM3, 'volume', { scale: 'small' })}, ${show(load.tank.leastWidthM, 'length')} across, with cover net and aerator`,
        ]
      : []),
    ...(load.dechlorinatorG > 0
      ? [
          `Sodium thiosulfate (5 H₂O) ${show(load.dechlorinatorG / 1000, 'mass', { scale: 'small' })} for ${show(load.tapWaterM3, 'volume')} of tap water, by the chlorine tested last or usual; the test on site decides`,
        ]
      : []),
    ...load.parts,
    'First-aid kit, RCD/GFCI adapter, gloves, goggles, waders, life line; labels and safety data sheets of what is carried',
  ]
}

export const LOAD_CAUTION = 'Lift with two people or a machine above 25 kg. Chemicals are carried closed, apart, and never mixed.'
