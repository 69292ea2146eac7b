/** What may stand in a filter train, in the order in which water usually meets it. */
export const TRAIN_KINDS = [
  'skimmer-wall',
  'skimmer-floating',
  'skimmer-pump-fed',
  'basket',
  'sieve',
  'drum',
  'static-bed',
  'moving-bed',
  'pressurised',
  'foam-fractionator',
  'uv',
  'ioniser',
  'heater',
  'trickle-tower',
  'falls-box',
  'dosing-unit',
  'aerator',
] as const
export type TrainKind = (typeof TRAIN_KINDS)[number]

/**
 * Where a unit stands: on the way to the pump, where water runs by gravity; between the pump and the bed; on a line
 * of its own from the pond and back; or in the pond itself.
 */
export const TRAIN_LINES = ['intake', 'pressure', 'side', 'pond'] as const
export type TrainLine = (typeof TRAIN_LINES)[number]

/** One piece of equipment in the filter train. */
export interface TrainUnit {
  readonly kind: TrainKind
  readonly line: TrainLine
  /** Most flow it is made for, m³/h; on a line of its own the flow it runs at. Aerators: air, m³/h. */
  readonly ratedFlowM3PerH: number
  /** Media it holds, L. */
  readonly mediaL: number
  /** Towers: how far the water trickles, m. */
  readonly heightM: number
  /** Skimmers: width of the mouth, m. */
  readonly weirM: number
  /** Screens: size of the openings, µm. */
  readonly meshUm: number
  /** UV clarifiers: electric power of the lamps, W. */
  readonly lampW: number
  /** Flow over the rated one passes it, over a weir or through a bypass. */
  readonly overflow: boolean
  /** Free space where its basket, screen, lamp or cover is taken out, m; null where nobody has looked. */
  readonly clearanceM: number | null
}

export const TRAIN_RANGE = {
  mediaL: [0, 5000],
  ratedFlowM3PerH: [0.1, 1000],
  heightM: [0, 3],
  weirM: [0, 5],
  meshUm: [0, 20_000],
  lampW: [0, 1000],
  clearanceM: [0, 5],
} as const

export const isSkimmer = (kind: TrainKind): boolean => kind.startsWith('skimmer')

/** Whether all of the pump's water meets it: on its way to the pump or from it. */
export const isInline = ({ line }: Pick<TrainUnit, 'line'>): boolean => line === 'intake' || line === 'pressure'

/**
 * What of a line's flow goes through a unit, m³/h: where its surplus goes past, no more than it is made for. Skimmers
 * draw what the pump asks of them.
 */
export const throughM3PerH = (
  { kind, overflow, ratedFlowM3PerH }: Pick<TrainUnit, 'kind' | 'overflow' | 'ratedFlowM3PerH'>,
  lineM3PerH: number,
): number => (overflow && !isSkimmer(kind) ? Math.min(lineM3PerH, ratedFlowM3PerH) : lineM3PerH)
