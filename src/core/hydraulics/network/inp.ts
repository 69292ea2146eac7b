import type { PumpPoint } from '../pump'

/**
 * A pipe network of ponds and outlets (fixed levels), junctions, pipes, pumps and losses given as curves. SI
 * throughout.
 */
export interface FlowNetwork {
  readonly title: string
  readonly levels: readonly { readonly id: string; readonly headM: number }[]
  readonly junctions: readonly { readonly id: string; readonly elevationM: number }[]
  readonly pipes: readonly NetworkPipe[]
  readonly pumps: readonly {
    readonly id: string
    readonly from: string
    readonly to: string
    readonly curve: readonly PumpPoint[]
  }[]
  /** Links that lose head by a curve of their own: beds, towers, filters. */
  readonly losses: readonly {
    readonly id: string
    readonly from: string
    readonly to: string
    readonly curve: readonly PumpPoint[]
  }[]
}

export interface NetworkPipe {
  readonly id: string
  readonly from: string
  readonly to: string
  readonly lengthM: number
  readonly boreM: number
  readonly roughnessM: number
  readonly k: number
  /** Water cannot run backwards through it. */
  readonly oneWay?: boolean
}

const n = (value: number, digits = 6): string => Number(value.toFixed(digits)).toString()

/** Wall thickness of GPVs' nominal bore: the engine asks for one and does not use it. */
const CURVE_LINK_DIAMETER_MM = 100

/** A network in the text format of EPANET, flows in m³/h, lengths in m, bores and roughness in mm. */
export function writeInp(network: FlowNetwork): string {
  const section = (name: string, lines: readonly string[]) =>
    lines.length > 0 ? [`[${name}]`, ...lines.map((line) => ` ${line}`), ''] : []
  const curves = [...network.pumps, ...network.losses].flatMap((link) =>
    link.curve.map((p) => `c_${link.id} ${n(p.flowM3PerH)} ${n(p.headM)}`),
  )
  return [
    ...section('TITLE', [network.title.replace(/[\r\n[\]]+/g, ' ')]),
    ...section(
      'JUNCTIONS',
      network.junctions.map((j) => `${j.id} ${n(j.elevationM)} 0`),
    ),
    ...section(
      'RESERVOIRS',
      network.levels.map((l) => `${l.id} ${n(l.headM)}`),
    ),
    ...section(
      'PIPES',
      network.pipes.map(
        (p) =>
          `${p.id} ${p.from} ${p.to} ${n(p.lengthM)} ${n(p.boreM * 1000, 3)} ${n(p.roughnessM * 1000)} ${n(p.k, 3)} ${p.oneWay ? 'CV' : 'Open'}`,
      ),
    ),
    ...section(
      'PUMPS',
      network.pumps.map((p) => `${p.id} ${p.from} ${p.to} HEAD c_${p.id}`),
    ),
    ...section(
      'VALVES',
      network.losses.map((l) => `${l.id} ${l.from} ${l.to} ${CURVE_LINK_DIAMETER_MM} GPV c_${l.id} 0`),
    ),
    ...section('CURVES', curves),
    ...section('OPTIONS', ['Units CMH', 'Headloss D-W', 'Viscosity 1.0', 'Accuracy 0.00001', 'Trials 200']),
    '[END]',
    '',
  ].join('\n')
}
