import type { PumpPoint } from '../hydraulics/pump'

export interface CataloguePump {
  readonly id: string
  readonly name: string
  readonly powerW: number
  /** Price in minor units of the firm's money. */
  readonly priceMinor: number
  /** Flow and head points, flow rising. */
  readonly curve: readonly PumpPoint[]
  /** Flows the pump is meant to run at, m³/h. */
  readonly recommended: readonly [number, number]
  readonly outletM: number
}

const curve = (...pairs: [number, number][]): PumpPoint[] => pairs.map(([flowM3PerH, headM]) => ({ flowM3PerH, headM }))

/** Invented pumps that behave like the submersible and dry-mounted pumps of the trade. Powers follow from curve and usual efficiencies. */
export const PUMP_CATALOGUE: readonly CataloguePump[] = [
  {
    id: 'P3',
    name: 'Pond pump 3',
    powerW: 35,
    priceMinor: 11900,
    curve: curve([0, 2.2], [1, 1.9], [2, 1.35], [3, 0.5], [3.3, 0]),
    recommended: [1, 2.7],
    outletM: 0.032,
  },
  {
    id: 'P6',
    name: 'Pond pump 6',
    powerW: 75,
    priceMinor: 16900,
    curve: curve([0, 3.1], [2, 2.7], [4, 2.05], [5.5, 1.1], [6.4, 0]),
    recommended: [2, 5.2],
    outletM: 0.04,
  },
  {
    id: 'P10',
    name: 'Pond pump 10',
    powerW: 120,
    priceMinor: 22900,
    curve: curve([0, 4], [3, 3.5], [6, 2.7], [9, 1.3], [10.6, 0]),
    recommended: [3.5, 8.6],
    outletM: 0.05,
  },
  {
    id: 'P16',
    name: 'Pond pump 16',
    powerW: 210,
    priceMinor: 32900,
    curve: curve([0, 5.2], [5, 4.6], [10, 3.5], [14, 1.9], [16.8, 0]),
    recommended: [5.5, 13.8],
    outletM: 0.05,
  },
  {
    id: 'P24',
    name: 'Stream pump 24',
    powerW: 330,
    priceMinor: 45900,
    curve: curve([0, 6], [8, 5.3], [15, 4], [21, 2.2], [25.2, 0]),
    recommended: [8, 20.5],
    outletM: 0.063,
  },
  {
    id: 'P36',
    name: 'Stream pump 36',
    powerW: 520,
    priceMinor: 64900,
    curve: curve([0, 7], [12, 6.1], [23, 4.6], [31, 2.6], [37.5, 0]),
    recommended: [12, 31],
    outletM: 0.075,
  },
  {
    id: 'P60',
    name: 'Dry-mounted pump 60',
    powerW: 900,
    priceMinor: 118000,
    curve: curve([0, 8.2], [20, 7.3], [38, 5.6], [52, 3.2], [62, 0]),
    recommended: [20, 51],
    outletM: 0.09,
  },
  {
    id: 'P100',
    name: 'Dry-mounted pump 100',
    powerW: 1500,
    priceMinor: 189000,
    curve: curve([0, 9], [33, 8.1], [64, 6.2], [88, 3.4], [104, 0]),
    recommended: [34, 86],
    outletM: 0.11,
  },
]
