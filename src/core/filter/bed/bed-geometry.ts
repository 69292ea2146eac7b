import type { FilterDesign } from '../design-input'
import { FILTER_TYPE_FACTS } from '../types'
import { shapeShare } from './bed-outline'
import { BED_MATERIALS, type BedMaterialKey, type BedMaterials } from './layers'

type Shape = Pick<FilterDesign, 'type' | 'lengthM' | 'widthM' | 'vessels' | 'round' | 'shape' | 'layers'>

/** Plan area of one bed or vessel, m². */
export const oneBedAreaM2 = (bed: Pick<Shape, 'type' | 'lengthM' | 'widthM' | 'round' | 'shape'>): number =>
  bed.round ? (Math.PI * bed.lengthM ** 2) / 4 : bed.lengthM * bed.widthM * shapeShare(bed)

/** Plan area of all vessels together, m²; 0 when there is no filter. */
export const bedAreaM2 = (shape: Shape): number => (shape.type === 'none' ? 0 : oneBedAreaM2(shape) * shape.vessels)

/** Depth of the build-up from base to top, m. */
export const buildUpM = (layers: FilterDesign['layers']): number =>
  layers.reduce((sum, layer) => sum + layer.thicknessM, 0)

/**
 * Area that the water crosses on its way through the stone, m²: the plan for upflow, width × stone depth along a bed.
 */
export function flowAreaM2(shape: Shape): number {
  const { path } = FILTER_TYPE_FACTS[shape.type]
  return path === 'along' ? shape.widthM * buildUpM(shape.layers) : bedAreaM2(shape)
}

/**
 * Depth of the trench under an upflow bed that its distribution pipe lies in, at the vault, m: the pipe and its pitch
 * along the bed; 0 where the pipe lies on the bottom of a vessel or there is none.
 */
export function trenchDepthM(design: Pick<FilterDesign, 'type' | 'feed' | 'lengthM' | 'manifold'>): number {
  const { path, vessels } = FILTER_TYPE_FACTS[design.type]
  if (path !== 'up' || vessels || design.feed !== 'slotted-pipe') return 0
  return design.manifold.diameterM + (design.manifold.pitchPercent / 100) * design.lengthM
}

/** Layers of stone as the loss law wants them; along a bed the way is the bed's length. */
export function flowPathLayers(
  shape: Shape,
  materials: BedMaterials,
): { thicknessM: number; grainM: number; porosity: number }[] {
  const grain = (material: BedMaterialKey) => ({
    grainM: materials[material].grainM,
    porosity: materials[material].porosity,
  })
  const stone = shape.layers.filter((layer) => BED_MATERIALS[layer.material].granular)
  const along = FILTER_TYPE_FACTS[shape.type].path === 'along'
  if (!along) return stone.map(({ material, thicknessM }) => ({ thicknessM, ...grain(material) }))
  // side by side layers carry the flow together; the mean stone stands for them
  const depthM = buildUpM(stone)
  if (depthM === 0) return []
  const mean = (of: (material: BedMaterialKey) => number) =>
    stone.reduce((sum, layer) => sum + of(layer.material) * layer.thicknessM, 0) / depthM
  return [
    {
      thicknessM: shape.lengthM,
      grainM: mean((m) => materials[m].grainM),
      porosity: mean((m) => materials[m].porosity),
    },
  ]
}
