import { buildUpM } from '../filter/bed/bed-geometry'
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
  /** The distribution pipe of an upflow bed, pitched as designed; null where water enters another way. */
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
  const headerM = feed === 'full-height-header' ? depthM : Math.min(manifold.diameterM, depthM)
  return {
    lengthM,
    depthM,
    waterM,
    bands: bandsOf(design),
    airBreakM: design.airBreakM !== null && design.airBreakM < waterM ? design.airBreakM : null,
    vault: vaultM > 0 ? rectangle(-vaultM, 0, 0, depthM + VAULT_OVER_BED_M) : null,
    pipe: along || feed === 'chamber' ? null : pipeOf(design, depthM, vaultM),
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

/** The pipe as a slanted strip; on a long bed it may rise no higher than the gravel's top. */
function pipeOf({ lengthM, manifold }: FilterDesign, depthM: number, vaultM: number): DrawnPoint[] {
  const d = manifold.diameterM
  const end = Math.min(depthM - d, PIPE_OVER_BASE_M + (manifold.pitchPercent / 100) * lengthM)
  const x = lengthM - PIPE_ENDS_BEFORE_M
  return [
    { xM: -vaultM, yM: PIPE_OVER_BASE_M },
    { xM: x, yM: end },
    { xM: x, yM: end + d },
    { xM: -vaultM, yM: PIPE_OVER_BASE_M + d },
  ]
}

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
