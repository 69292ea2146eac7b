import { outlineOf } from '../../survey/outline-shapes'
import type { Outline } from '../../survey/point'
import { areaM2 } from '../../survey/polygon'
import type { FilterDesign } from '../design-input'
import { FILTER_TYPE_FACTS } from '../types'
import { RECTANGLE, type BedShape } from './bed-shape'

const HALF_ROUND_POINTS = 48
/** Half an ellipse on its straight side, pushed out so that the polygon's area is exactly that of the curve. */
const HALF_ROUND: Outline = (() => {
  const step = Math.PI / HALF_ROUND_POINTS
  const swell = Math.sqrt(step / Math.sin(step))
  return Array.from({ length: HALF_ROUND_POINTS + 1 }, (_, i) => ({
    xM: 0.5 + (swell * Math.cos(Math.PI - i * step)) / 2,
    yM: 1 - swell * Math.sin(Math.PI - i * step),
  }))
})()

const UNIT_SQUARE: Outline = [
  { xM: 0, yM: 0 },
  { xM: 1, yM: 0 },
  { xM: 1, yM: 1 },
  { xM: 0, yM: 1 },
]

/** The shape in a square of 1 × 1. */
function unitOutline(shape: BedShape): Outline {
  switch (shape.kind) {
    case 'rectangle':
      return UNIT_SQUARE
    case 'half-round':
      return HALF_ROUND
    case 'corners':
      return shape.corners
    case 'kidney':
      return outlineOf({ kind: 'kidney', lengthM: 1, widthM: 1, waistM: shape.waistShare }).map(({ xM, yM }) => ({
        xM,
        yM: yM + 0.5,
      }))
  }
}

type Shaped = Pick<FilterDesign, 'type' | 'lengthM' | 'widthM' | 'round' | 'shape'>

/** Only a bed that is dug and lined follows any line; vessels, walls and headers are straight or round. */
export const maybeFree = ({ type }: Pick<FilterDesign, 'type'>): boolean => {
  const { lined, vessels, walled, alongShore, path } = FILTER_TYPE_FACTS[type]
  return lined && !vessels && !walled && !alongShore && path !== 'along'
}

/** Outline of one bed, m: its length along x from 0, its width along y from 0. */
export function bedOutline(design: Shaped): Outline {
  const unit = unitOutline(maybeFree(design) ? design.shape : RECTANGLE)
  return unit.map(({ xM, yM }) => ({ xM: xM * design.lengthM, yM: yM * design.widthM }))
}

/** Share of its length × width that a shape covers. */
export const shapeShare = (design: Pick<Shaped, 'type' | 'shape'>): number =>
  maybeFree(design) ? areaM2(unitOutline(design.shape)) : 1
