import { z } from 'zod'
import { BED_SHAPE_RANGE, type BedShape } from '../../core/filter/bed/bed-shape'
import { areaM2, findCrossing } from '../../core/survey/polygon'
import { LAYOUT_RANGE, type SiteLayout } from '../../core/site-plan/site-layout'
import { numberWithin } from '../shared/fields'
import { said } from '../shared/said'
import { SitePlace } from '../survey/site-survey'

const [fewest, most] = BED_SHAPE_RANGE.corners
const cornerShare = numberWithin(BED_SHAPE_RANGE.cornerShare, 'design.fields.bedCorner', '')

/** A bed thinner than this share of its box is a slip of the hand. */
const THINNEST_SHARE = 0.05

/** Plan of a bed within its length and width. */
export const BedShapeInput = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.enum(['rectangle', 'half-round']) }),
    z.strictObject({
      kind: z.literal('kidney'),
      waistShare: numberWithin(BED_SHAPE_RANGE.waistShare, 'design.fields.bedWaist', ''),
    }),
    z.strictObject({
      kind: z.literal('corners'),
      corners: z
        .array(z.strictObject({ xM: cornerShare, yM: cornerShare }))
        .min(fewest)
        .max(most)
        .readonly(),
    }),
  ])
  .superRefine((shape, context) => {
    if (context.issues.length > 0 || shape.kind !== 'corners') return
    if (findCrossing(shape.corners))
      context.addIssue({ code: 'custom', path: ['corners'], message: said('design.problems.bedOutlineCrosses') })
    else if (areaM2(shape.corners) < THINNEST_SHARE)
      context.addIssue({ code: 'custom', path: ['corners'], message: said('design.problems.bedOutlineThin') })
  }) satisfies z.ZodType<BedShape>

/** Where the parts of a design stand on the site. */
export const SiteLayoutInput = z.strictObject({
  bed: z.strictObject({
    at: SitePlace,
    turnDeg: numberWithin(LAYOUT_RANGE.turnDeg, 'design.fields.bedTurn', '°'),
  }),
  pump: SitePlace,
  route: z.array(SitePlace).max(LAYOUT_RANGE.corners[1]).readonly(),
  stream: z
    .strictObject({
      places: z
        .array(
          z.strictObject({
            at: SitePlace,
            widthM: numberWithin(LAYOUT_RANGE.streamWidthM, 'design.fields.streamWidth', 'm'),
            dropM: numberWithin(LAYOUT_RANGE.streamDropM, 'design.fields.streamDrop', 'm'),
          }),
        )
        .min(LAYOUT_RANGE.streamPlaces[0])
        .max(LAYOUT_RANGE.streamPlaces[1])
        .readonly(),
      depthM: numberWithin(LAYOUT_RANGE.streamDepthM, 'design.fields.streamDepth', 'm'),
    })
    .nullable(),
  skimmers: z.array(SitePlace).max(LAYOUT_RANGE.skimmers[1]).readonly(),
  cable: z.array(SitePlace).max(LAYOUT_RANGE.corners[1]).readonly(),
}) satisfies z.ZodType<SiteLayout>
