import { z } from 'zod'
import { SERVICE_KINDS, SITE_RANGE, type SiteSurvey } from '../../core/site-plan/site-survey'
import { findCrossing } from '../../core/survey/polygon'
import { numberWithin } from '../shared/fields'
import { said } from '../shared/said'

/** A place on the site, in the coordinates of the pond's survey, m. */
export const SitePlace = z.strictObject({
  xM: numberWithin(SITE_RANGE.coordinateM, 'ponds.fields.placeAlong', 'm'),
  yM: numberWithin(SITE_RANGE.coordinateM, 'ponds.fields.placeAcross', 'm'),
})

const line = z.array(SitePlace).min(SITE_RANGE.corners[0]).max(SITE_RANGE.corners[1]).readonly()
const outline = z
  .array(SitePlace)
  .min(SITE_RANGE.outlineCorners[0])
  .max(SITE_RANGE.outlineCorners[1])
  .readonly()
  .superRefine((corners, context) => {
    if (context.issues.length === 0 && findCrossing(corners))
      context.addIssue({ code: 'custom', message: said('ponds.problems.siteOutlineCrosses') })
  })

const placed = <Kind extends string>(kind: Kind) => z.strictObject({ kind: z.literal(kind), at: SitePlace })

const SiteObjectInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('tree'),
    at: SitePlace,
    crownM: numberWithin(SITE_RANGE.crownM, 'ponds.fields.crownRadius', 'm'),
  }),
  z.strictObject({ kind: z.literal('building'), outline }),
  z.strictObject({ kind: z.literal('property'), outline }),
  z.strictObject({ kind: z.literal('wall'), line }),
  z.strictObject({ kind: z.literal('fence'), line }),
  z.strictObject({
    kind: z.literal('service'),
    service: z.enum(SERVICE_KINDS),
    line,
    clearM: numberWithin(SITE_RANGE.clearM, 'ponds.fields.serviceClearance', 'm'),
  }),
  z.strictObject({
    kind: z.literal('access'),
    line,
    widthM: numberWithin(SITE_RANGE.accessM, 'ponds.fields.accessWidth', 'm'),
  }),
  z.strictObject({
    kind: z.literal('spot-level'),
    at: SitePlace,
    levelM: numberWithin(SITE_RANGE.levelM, 'ponds.fields.spotLevel', 'm'),
  }),
  placed('supply'),
  placed('auto-fill'),
  placed('discharge'),
  placed('fixed-point'),
])

/** What lies around a pond: everything the site plan's form sends. */
export const SiteSurveyInput = z
  .strictObject({
    northDeg: numberWithin(SITE_RANGE.bearingDeg, 'ponds.fields.north', '°'),
    windFromDeg: numberWithin(SITE_RANGE.bearingDeg, 'ponds.fields.windFrom', '°').nullable(),
    objects: z.array(SiteObjectInput).max(SITE_RANGE.objects[1]).readonly(),
  })
  .superRefine(({ objects }, context) => {
    if (context.issues.length > 0) return
    const third = objects.flatMap((o, i) => (o.kind === 'fixed-point' ? [i] : []))[2]
    if (third !== undefined)
      context.addIssue({
        code: 'custom',
        path: ['objects', third],
        message: said('ponds.problems.twoFixedPoints'),
      })
  }) satisfies z.ZodType<SiteSurvey>
