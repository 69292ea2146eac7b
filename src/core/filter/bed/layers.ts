/** Materials a bed is built of. Grain sizes in m; d15/d85 for the stability rule. */
export interface BedMaterial {
  readonly grainM: number
  readonly d15M: number
  readonly d85M: number
  readonly porosity: number
  /** Mass per bulk volume, t/m³; 0 for hollow modules. */
  readonly bulkTPerM3: number
  /** Whether a coarser layer's openings matter: modules and pipes are held by the bridging stone. */
  readonly granular: boolean
}

/** @source usual graded stone; bulk density and porosity as in any aggregate table */
export const BED_MATERIALS = {
  'levelling-gravel': {
    grainM: 0.012,
    d15M: 0.008,
    d85M: 0.016,
    porosity: 0.4,
    bulkTPerM3: 1.55,
    granular: true,
  },
  'void-modules': {
    grainM: 0.1,
    d15M: 0.1,
    d85M: 0.1,
    porosity: 0.95,
    bulkTPerM3: 0.05,
    granular: false,
  },
  'bridging-stone': {
    grainM: 0.11,
    d15M: 0.08,
    d85M: 0.14,
    porosity: 0.42,
    bulkTPerM3: 1.55,
    granular: true,
  },
  'gravel-19-38': {
    grainM: 0.028,
    d15M: 0.021,
    d85M: 0.035,
    porosity: 0.4,
    bulkTPerM3: 1.55,
    granular: true,
  },
  'planting-6-12': {
    grainM: 0.009,
    d15M: 0.007,
    d85M: 0.011,
    porosity: 0.38,
    bulkTPerM3: 1.55,
    granular: true,
  },
  'pea-gravel': {
    grainM: 0.0055,
    d15M: 0.0035,
    d85M: 0.0075,
    porosity: 0.38,
    bulkTPerM3: 1.55,
    granular: true,
  },
} as const satisfies Record<string, BedMaterial>

/** What a firm builds with: the usual materials, or its own quarry's. */
export type BedMaterials = Readonly<Record<BedMaterialKey, BedMaterial>>

export type BedMaterialKey = keyof typeof BED_MATERIALS
export const BED_MATERIAL_KEYS = Object.keys(BED_MATERIALS) as BedMaterialKey[]

export interface BedLayer {
  readonly material: BedMaterialKey
  readonly thicknessM: number
}

/** Bottom to top. @source usual build-up of a lined upflow wetland */
export const DEFAULT_LAYERS: readonly BedLayer[] = [
  { material: 'levelling-gravel', thicknessM: 0.06 },
  { material: 'void-modules', thicknessM: 0.3 },
  { material: 'bridging-stone', thicknessM: 0.1 },
  { material: 'gravel-19-38', thicknessM: 0.25 },
  { material: 'planting-6-12', thicknessM: 0.09 },
]

export const LAYER_RANGE = { thicknessM: [0.01, 2] } as const

export interface LayerPair {
  readonly lower: BedMaterialKey
  readonly upper: BedMaterialKey
  readonly ratio: number
  readonly stable: boolean
}

/** D15 of the coarse over D85 of the fine may be at most this. @source Terzaghi's filter rule */
export const STABILITY_LIMIT = 5

/** Openings of a void module's top; finer stone falls through. @source usual modules for ponds */
const MODULE_OPENING_M = 0.05

/**
 * Whether each layer holds the finer one beside it: stone by its grain, hollow modules by the openings that the stone
 * on them has to bridge.
 */
export function layerStability(layers: readonly BedLayer[], materials: BedMaterials): LayerPair[] {
  return layers.slice(1).flatMap((upper, i) => {
    const lower = layers[i]!
    const [a, b] = [materials[lower.material], materials[upper.material]]
    if (!b.granular) return []
    if (!a.granular) {
      const open = MODULE_OPENING_M / b.d15M
      return [
        {
          lower: lower.material,
          upper: upper.material,
          ratio: open * STABILITY_LIMIT,
          stable: b.d15M >= MODULE_OPENING_M,
        },
      ]
    }
    const [coarse, fine] = a.grainM >= b.grainM ? [a, b] : [b, a]
    const ratio = coarse.d15M / fine.d85M
    return [{ lower: lower.material, upper: upper.material, ratio, stable: ratio <= STABILITY_LIMIT }]
  })
}

/** Bulk volume, m³, and mass, t, of each layer on a bed area. */
export function layerQuantities(
  layers: readonly BedLayer[],
  areaM2: number,
  materials: BedMaterials,
): { material: BedMaterialKey; volumeM3: number; massT: number; voidM3: number }[] {
  return layers.map(({ material, thicknessM }) => {
    const { bulkTPerM3, porosity } = materials[material]
    const volumeM3 = thicknessM * areaM2
    return { material, volumeM3, massT: volumeM3 * bulkTPerM3, voidM3: volumeM3 * porosity }
  })
}

/**
 * Depth of stone that nitrifies: everything but hollow modules and levelling, m; with thickness-weighted grain and
 * porosity.
 */
export function treatingGravel(
  layers: readonly BedLayer[],
  materials: BedMaterials,
): { depthM: number; grainM: number; porosity: number } {
  const stones = layers.filter((layer) => materials[layer.material].granular && layer.material !== 'levelling-gravel')
  const depthM = stones.reduce((sum, layer) => sum + layer.thicknessM, 0)
  if (depthM === 0) return { depthM: 0, grainM: 0, porosity: 0 }
  // surface, not size, is what counts: average 1/d
  const inverse = stones.reduce((sum, layer) => sum + layer.thicknessM / materials[layer.material].grainM, 0) / depthM
  const porosity =
    stones.reduce((sum, layer) => sum + layer.thicknessM * materials[layer.material].porosity, 0) / depthM
  return { depthM, grainM: 1 / inverse, porosity }
}
