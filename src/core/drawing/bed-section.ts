import { buildUpM, trenchDepthM } from '../filter/bed/bed-geometry'
import type { BedMaterialKey } from '../filter/bed/layers'
import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { rectangle, type DrawnPoint } from './sheet'

/** What a long section through a bed consists of, m from the inlet end of its base; y upwards. */
export interface BedSectionGeometry {
  readonly lengthM: number
  readonly depthM: number
  readonly waterM: number
  /** Layers from the base up. */
  readonly bands: readonly { readonly material: BedMaterialKey; readonly baseM: number; readonly topM: number }[]
  /** Level to which it drains back when the pump rests; null where that lies above the water. */
  readonly airBreakM: number | null
  readonly vault: readonly DrawnPoint[] | null
  /** Liner along the base, the trench and up both ends; empty in vessels. */
  readonly liner: readonly DrawnPoint[]
  /** Walls above the ground at both ends. */
  readonly walls: readonly (readonly DrawnPoint[])[]
  /** Return pipe, or the lip and the water's fall, at the far end. */
  readonly outlet: readonly DrawnPoint[] | null
  readonly falls: readonly DrawnPoint[] | null
  /** Lowest point of the trench or vault, m; 0 or below. */
  readonly lowestM: number
  /** Distribution pipe of an upflow bed, pitched in its trench under the base; null where water enters another way. */
  readonly pipe: readonly DrawnPoint[] | null
  /** The headers of a horizontal bed, in and out. */
  readonly headers: readonly (readonly DrawnPoint[])[]
  /** Ways of the water, each from where it enters to where it leaves. */
  readonly flow: readonly (readonly DrawnPoint[])[]
}

const PIPE_OVER_BASE_M = 0.02
const PIPE_ENDS_BEFORE_M = 0.1
const HEADER_M = 0.05
const VAULT_OVER_BED_M = 0.05
const SUMP_UNDER_PIPE_M = 0.1
const WALL_M = 0.1
const OUTLET_SHOWN_M = 0.4
const LIP_SHOWN_M = 0.15
const UPFLOW_AT = [0.25, 0.5, 0.75] as const
const STREAMLINES = 5

/**
 * The long section through the middle of a bed; screen and sheets draw it from here.
 * @param rootShare share of a horizontal bed's flow that passes the roots, 0..1: as many streamlines run high
 */
export function bedSectionOf(design: FilterDesign, rootShare = 1): BedSectionGeometry {
  const { lengthM, manifold, feed } = design
  const facts = FILTER_TYPE_FACTS[design.type]
  const depthM = buildUpM(design.layers)
  const waterM = depthM + design.waterOverGravelM
  const along = facts.path === 'along'
  const vaultM = design.vault && !facts.vessels ? design.vault.diameterM : 0
  const trenchM = trenchDepthM(design)
  const lowestM = trenchM > 0 ? -trenchM - (vaultM > 0 ? SUMP_UNDER_PIPE_M : 0) : 0
  const headerM = feed === 'full-height-header' ? depthM : Math.min(manifold.diameterM, depthM)
  return {
    lengthM,
    depthM,
    waterM,
    bands: bandsOf(design),
    airBreakM: design.airBreakM !== null && design.airBreakM < waterM ? design.airBreakM : null,
    vault: vaultM > 0 ? rectangle(-vaultM, lowestM, 0, depthM + VAULT_OVER_BED_M) : null,
    pipe: along || feed === 'chamber' ? null : pipeOf(design, vaultM),
    liner: facts.lined ? linerOf(design, Math.max(depthM, waterM) + VAULT_OVER_BED_M) : [],
    walls: wallsOf(design, depthM, vaultM),
    outlet: facts.pipedOutlet ? outletOf(design, waterM) : null,
    falls: design.falls ? fallsOf(lengthM, waterM, design.falls.dropM) : null,
    lowestM,
    headers: along ? [0, lengthM - HEADER_M].map((x) => rectangle(x, 0, x + HEADER_M, headerM)) : [],
    flow: along
      ? streamlines(lengthM, depthM, feed === 'full-height-header', rootShare)
      : UPFLOW_AT.map((share) => [
          { xM: lengthM * share, yM: depthM * 0.35 },
          { xM: lengthM * share, yM: depthM * 0.85 },
        ]),
  }
}

function bandsOf({ layers }: FilterDesign): BedSectionGeometry['bands'] {
  let baseM = 0
  return layers.map(({ material, thicknessM }) => {
    const band = { material, baseM, topM: baseM + thicknessM }
    baseM = band.topM
    return band
  })
}

/** The pipe as a slanted strip: under the base in its trench, falling to the vault; flat on the bottom of a vessel. */
function pipeOf(design: FilterDesign, vaultM: number): DrawnPoint[] {
  const { lengthM, manifold } = design
  const d = manifold.diameterM
  const trenchM = trenchDepthM(design)
  const low = trenchM > 0 ? -trenchM : PIPE_OVER_BASE_M
  const high = trenchM > 0 ? -d : PIPE_OVER_BASE_M
  const x = lengthM - PIPE_ENDS_BEFORE_M
  return [
    { xM: -vaultM, yM: low },
    { xM: x, yM: high },
    { xM: x, yM: high + d },
    { xM: -vaultM, yM: low + d },
  ]
}

function linerOf(design: FilterDesign, topM: number): DrawnPoint[] {
  const { lengthM, manifold } = design
  const trenchM = trenchDepthM(design)
  const floor =
    trenchM > 0
      ? [
          { xM: 0, yM: -trenchM },
          { xM: lengthM - PIPE_ENDS_BEFORE_M, yM: -manifold.diameterM },
          { xM: lengthM - PIPE_ENDS_BEFORE_M, yM: 0 },
        ]
      : [{ xM: 0, yM: 0 }]
  return [{ xM: 0, yM: topM }, ...floor, { xM: lengthM, yM: 0 }, { xM: lengthM, yM: topM }]
}

function wallsOf({ lengthM, raisedM }: FilterDesign, depthM: number, vaultM: number): DrawnPoint[][] {
  if (raisedM <= 0) return []
  const top = depthM + VAULT_OVER_BED_M
  const foot = depthM - raisedM
  return [rectangle(-vaultM - WALL_M, foot, -vaultM, top), rectangle(lengthM, foot, lengthM + WALL_M, top)]
}

/** The return leaves at the water's level: its bore stands half in the water. */
function outletOf({ lengthM, outlet }: FilterDesign, waterM: number): DrawnPoint[] {
  const fall = (outlet.dropM / outlet.lengthM) * OUTLET_SHOWN_M
  const [top, end] = [waterM + outlet.diameterM / 2, lengthM + OUTLET_SHOWN_M]
  return [
    { xM: lengthM, yM: top - outlet.diameterM },
    { xM: end, yM: top - outlet.diameterM - fall },
    { xM: end, yM: top - fall },
    { xM: lengthM, yM: top },
  ]
}

const fallsOf = (lengthM: number, waterM: number, dropM: number): DrawnPoint[] => [
  { xM: lengthM, yM: waterM },
  { xM: lengthM + LIP_SHOWN_M, yM: waterM },
  { xM: lengthM + LIP_SHOWN_M, yM: waterM - dropM },
]

/** Where most of the water passes under the roots, so are its ways drawn. */
function streamlines(lengthM: number, depthM: number, fullHeight: boolean, rootShare: number): DrawnPoint[][] {
  const below = 1 - rootShare
  return Array.from({ length: STREAMLINES }, (_, i) => {
    const share = (i + 0.5) / STREAMLINES
    const height =
      share <= below
        ? (share / Math.max(below, 0.01)) * 0.5
        : 0.5 + ((share - below) / Math.max(rootShare, 0.01)) * 0.45
    const yM = depthM * height
    const endM = fullHeight ? yM : Math.min(yM, depthM * 0.08)
    return [
      { xM: lengthM * 0.02, yM: endM },
      { xM: lengthM * 0.12, yM },
      { xM: lengthM * 0.88, yM },
      { xM: lengthM * 0.98, yM: endM },
    ]
  })
}
