import { z } from 'zod'
import { DomainError } from '../core/errors'
import { areaM2, findCrossing, perimeterM } from '../core/survey/polygon'
import { OUTLINE_RANGE, outlineOf } from '../core/survey/outline-shapes'
import { pondVolumeM3, ZONE_AREA_RANGE } from '../core/survey/prismoid'
import { combineVolumes } from '../core/survey/volume-evidence'
import { defineCalculation, numberIn } from './define'

const area = numberIn(ZONE_AREA_RANGE.areaM2)

export const POND_CALCULATIONS = [
  defineCalculation({
    name: 'pond.volume',
    summary: 'Volume of a pond from the areas of its depth zones (prismoidal rule)',
    input: z.strictObject({
      zones: z
        .array(
          z.strictObject({
            topArea_m2: area,
            midArea_m2: area,
            bottomArea_m2: area,
            depth_m: numberIn(ZONE_AREA_RANGE.depthM),
          }),
        )
        .min(1)
        .max(50),
      rockShare: numberIn([0, 0.6]).default(0),
    }),
    output: z.object({ gross_m3: z.number(), water_m3: z.number() }),
    run: ({ zones, rockShare }) => {
      const { grossM3, waterM3 } = pondVolumeM3(
        zones.map((z) => ({
          topAreaM2: z.topArea_m2,
          midAreaM2: z.midArea_m2,
          bottomAreaM2: z.bottomArea_m2,
          depthM: z.depth_m,
        })),
        rockShare,
      )
      return { gross_m3: grossM3, water_m3: waterM3 }
    },
  }),
  defineCalculation({
    name: 'pond.outline',
    summary:
      'Area and perimeter of a waterline from baseline offsets or corner points; refuses one that crosses itself',
    input: z
      .strictObject({
        baselineOffsets: z
          .array(
            z.strictObject({
              station_m: numberIn(OUTLINE_RANGE.stationM),
              left_m: numberIn(OUTLINE_RANGE.offsetM),
              right_m: numberIn(OUTLINE_RANGE.offsetM),
            }),
          )
          .min(2)
          .max(500)
          .optional(),
        points: z
          .array(z.strictObject({ x_m: numberIn([-1e5, 1e5]), y_m: numberIn([-1e5, 1e5]) }))
          .min(3)
          .max(2000)
          .optional(),
      })
      .refine((v) => (v.baselineOffsets === undefined) !== (v.points === undefined), {
        path: ['points'],
        error: 'give either baselineOffsets or points',
      }),
    output: z.object({ area_m2: z.number(), perimeter_m: z.number() }),
    run: ({ baselineOffsets, points }) => {
      const outline = outlineOf(
        baselineOffsets
          ? {
              kind: 'offsets',
              offsets: baselineOffsets.map((o) => ({ stationM: o.station_m, leftM: o.left_m, rightM: o.right_m })),
            }
          : { kind: 'points', points: points!.map((p) => ({ xM: p.x_m, yM: p.y_m })) },
      )
      const crossing = findCrossing(outline)
      if (crossing)
        throw new DomainError(
          baselineOffsets ? 'baselineOffsets' : 'points',
          `sides ${crossing.sides.join(' and ')} meeting at x ${crossing.at.xM.toFixed(2)} m, y ${crossing.at.yM.toFixed(2)} m`,
          'an outline that does not cross itself',
        )
      return { area_m2: areaM2(outline), perimeter_m: perimeterM(outline) }
    },
  }),
  defineCalculation({
    name: 'pond.combineVolumes',
    summary:
      'Combines estimates of one volume, by inverse variance where they agree, and names conflicts beyond two sigmas',
    input: z.strictObject({
      evidence: z
        .array(
          z.strictObject({
            method: z.string().min(1).max(60),
            volume_m3: z.number().positive().max(1e6),
            sigma_m3: z.number().positive().max(1e6),
          }),
        )
        .min(1)
        .max(50),
    }),
    output: z.object({
      volume_m3: z.number(),
      sigma_m3: z.number(),
      low_m3: z.number().describe('the volume is between low_m3 and high_m3 in four of five ponds'),
      high_m3: z.number(),
      open: z.boolean().describe('the estimates differ so that one of them may be off, and it is not known which'),
      distrust: z.string().nullable().describe('the method that the others speak against; null where none is told'),
      conflicts: z.array(
        z.object({
          methods: z.array(z.string()),
          difference_m3: z.number(),
          sigmas: z.number(),
          distrust: z.string().nullable(),
        }),
      ),
    }),
    run: ({ evidence }) => {
      const combined = combineVolumes(
        evidence.map((e) => ({ method: e.method, volumeM3: e.volume_m3, sigmaM3: e.sigma_m3 })),
      )
      return {
        volume_m3: combined.volumeM3,
        sigma_m3: combined.sigmaM3,
        low_m3: combined.lowM3,
        high_m3: combined.highM3,
        open: combined.open,
        distrust: combined.distrust,
        conflicts: combined.conflicts.map((c) => ({
          methods: [...c.methods],
          difference_m3: c.differenceM3,
          sigmas: c.sigmas,
          distrust: c.distrust,
        })),
      }
    },
  }),
]
