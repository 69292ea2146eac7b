import { pumpHead, type PumpPoint } from '../../hydraulics/pump'
import { GRAVITY_M_PER_S2 } from '../../hydraulics/water-properties'

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
  /** Head that a dry-mounted pump needs at its suction (NPSH), m; undefined for pumps that stand in the water. */
  readonly dryNpshM?: number
}

/** Whether a pump stands beside the water and draws it through a line. */
export const isDryMounted = (pump: CataloguePump): boolean => pump.dryNpshM !== undefined

/** Inclusive ranges of a pump's figures; imports and forms reuse them. */
export const PUMP_RANGE = {
  powerW: [1, 100_000],
  priceMinor: [0, 100_000_000],
  flowM3PerH: [0, 5000],
  headM: [0, 200],
  outletM: [0.01, 0.5],
  npshM: [0.5, 9],
} as const

/** Water power over electric power at a flow: ρgQH/P. */
export function pumpEfficiency(pump: Pick<CataloguePump, 'curve' | 'powerW'>, flowM3PerH: number): number {
  return ((flowM3PerH / 3600) * pumpHead(pump.curve)(flowM3PerH) * 1000 * GRAVITY_M_PER_S2) / pump.powerW
}

/** Shape of a family's curves: head falls as 1 − (Q/Qmax)^bend; the best efficiency of the set with its motor. */
const FAMILIES = {
  P: { bend: 1.9 },
  B: { bend: 1.5 },
  S: { bend: 2 },
  H: { bend: 2.2 },
  // dry-mounted: they need some head at their suction
  D: { bend: 2.1, dryNpshM: 3 },
} as const satisfies Record<string, { bend: number; dryNpshM?: number }>

/** A pump of the catalogue: words name it by its family and size. */
export interface UsualPump extends CataloguePump {
  readonly family: keyof typeof FAMILIES
  readonly size: string
}

const SHARES = [0, 0.25, 0.5, 0.7, 0.85, 1]
const BEST_AT = 0.62 // of the largest flow, where these curves give most water power
const RECOMMENDED = [0.33, 0.83] as const

/** family, size, largest flow m³/h, shut-off head m, best efficiency, price in minor units, outlet m */
type Row = readonly [
  family: keyof typeof FAMILIES,
  size: string,
  mostM3PerH: number,
  shutoffM: number,
  best: number,
  priceMinor: number,
  outletM: number,
]

/** Invented pumps that behave like the submersible and dry-mounted pumps of the trade. */
const ROWS: readonly Row[] = [
  ['P', '1', 1.2, 1.5, 0.14, 5900, 0.02],
  ['P', '2', 2.2, 1.9, 0.17, 8900, 0.025],
  ['P', '3', 3.3, 2.2, 0.2, 11900, 0.032],
  ['P', '4', 4.6, 2.7, 0.22, 14200, 0.032],
  ['P', '6', 6.4, 3.1, 0.25, 16900, 0.04],
  ['P', '8', 8.3, 3.6, 0.28, 19900, 0.04],
  ['P', '10', 10.6, 4, 0.31, 22900, 0.05],
  ['P', '13', 13.4, 4.6, 0.33, 27900, 0.05],
  ['P', '16', 16.8, 5.2, 0.35, 32900, 0.05],
  ['B', '5', 5.5, 1.6, 0.3, 21900, 0.05],
  ['B', '9', 9.5, 1.9, 0.34, 27900, 0.063],
  ['B', '14', 14.5, 2.2, 0.38, 34900, 0.075],
  ['B', '20', 21, 2.5, 0.42, 42900, 0.09],
  ['B', '30', 31, 2.8, 0.45, 55900, 0.09],
  ['B', '45', 46, 3, 0.48, 74900, 0.11],
  ['B', '70', 72, 3.2, 0.5, 104900, 0.125],
  ['S', '20', 20.5, 5.6, 0.36, 39900, 0.063],
  ['S', '24', 25.2, 6, 0.38, 45900, 0.063],
  ['S', '30', 31, 6.5, 0.4, 54900, 0.075],
  ['S', '36', 37.5, 7, 0.42, 64900, 0.075],
  ['S', '45', 46, 7.6, 0.43, 78900, 0.09],
  ['H', '4', 4.5, 8, 0.28, 32900, 0.032],
  ['H', '8', 8.5, 10, 0.33, 41900, 0.04],
  ['H', '12', 12.5, 12, 0.38, 54900, 0.05],
  ['H', '18', 18.5, 14, 0.42, 72900, 0.063],
  ['H', '26', 26.5, 16, 0.45, 98900, 0.075],
  ['D', '12', 12.5, 5.5, 0.4, 48900, 0.05],
  ['D', '20', 20.5, 6.2, 0.45, 62900, 0.063],
  ['D', '30', 31, 6.9, 0.5, 79900, 0.075],
  ['D', '45', 46, 7.6, 0.53, 97900, 0.09],
  ['D', '60', 62, 8.2, 0.55, 118000, 0.09],
  ['D', '80', 82, 8.6, 0.57, 149000, 0.11],
  ['D', '100', 104, 9, 0.58, 189000, 0.11],
  ['D', '150', 155, 9.6, 0.6, 249000, 0.16],
]

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits))

function build([family, size, maxM3PerH, shutoffM, best, priceMinor, outletM]: Row): UsualPump {
  const { bend, dryNpshM }: { bend: number; dryNpshM?: number } = FAMILIES[family]
  const headAt = (share: number) => shutoffM * (1 - share ** bend)
  const waterW = ((BEST_AT * maxM3PerH) / 3600) * headAt(BEST_AT) * 1000 * GRAVITY_M_PER_S2
  return {
    id: `${family}${size}`,
    // the code stands for the name until a language gives it one
    name: `${family}${size}`,
    family,
    size,
    powerW: rounded(waterW / best, 0),
    priceMinor,
    curve: SHARES.map((share) => ({ flowM3PerH: rounded(share * maxM3PerH, 2), headM: rounded(headAt(share), 2) })),
    recommended: [rounded(RECOMMENDED[0] * maxM3PerH, 1), rounded(RECOMMENDED[1] * maxM3PerH, 1)],
    outletM,
    ...(dryNpshM === undefined ? {} : { dryNpshM }),
  }
}

/** Smallest flow first: "the next larger pump" is the next one with more flow. */
export const PUMP_CATALOGUE: readonly UsualPump[] = ROWS.map(build).sort(
  (a, b) => a.curve[a.curve.length - 1]!.flowM3PerH - b.curve[b.curve.length - 1]!.flowM3PerH,
)
