import { z } from 'zod'
import { closedLoop } from '../core/filter/sizing/recirculating-model'
import { GRAVEL_RANGE } from '../core/filter/sizing/nitrification'
import { POND_USES, SIZING_METHODS } from '../core/filter/house-rules'
import { sizeFilter, SIZING_RANGE } from '../core/filter/sizing/sizing'
import { defineCalculation, numberIn, protein } from './define'

const school = z.enum(SIZING_METHODS)

export const FILTER_CALCULATIONS = [
  defineCalculation({
    name: 'wetland.closedLoop',
    summary: 'Removal per pass and the level a pond settles at (tanks in series)',
    input: z.strictObject({
      load_g_d: numberIn([0, 1e7]),
      flow_m3_h: z.number().positive().max(1e5),
      bedVolume_m3: z.number().positive().max(1e6),
      k_d: z.number().positive().max(1e5),
      tanks: z.number().positive().max(1000),
      background_mg_L: numberIn([0, 1e4]),
    }),
    output: z.object({ eta: z.number(), concentration_mg_L: z.number() }),
    run: (l) => {
      const { eta, concentrationMgL } = closedLoop({
        loadGPerD: l.load_g_d,
        flowM3PerH: l.flow_m3_h,
        bedVolumeM3: l.bedVolume_m3,
        ratePerD: l.k_d,
        tanks: l.tanks,
        backgroundMgL: l.background_mg_L,
      })
      return { eta, concentration_mg_L: concentrationMgL }
    },
  }),
  defineCalculation({
    name: 'filter.size',
    summary: 'A bog or wetland bed by four schools side by side',
    input: z.strictObject({
      pond: z.strictObject({
        volume_m3: numberIn(SIZING_RANGE.volumeM3),
        area_m2: numberIn(SIZING_RANGE.areaM2),
        use: z.enum(POND_USES),
        feed_kg_d: numberIn(SIZING_RANGE.feedKgPerD),
        protein,
        temp_C: numberIn(SIZING_RANGE.tempC),
        targetTan_mg_L: numberIn(SIZING_RANGE.targetTanMgL).optional(),
      }),
      bed: z.strictObject({
        depth_m: numberIn(GRAVEL_RANGE.depthM),
        grain_m: numberIn(GRAVEL_RANGE.grainM),
        porosity: numberIn(GRAVEL_RANGE.porosity),
      }),
    }),
    output: z.object({
      schools: z.array(
        z.object({ school, area_m2: z.number(), volume_m3: z.number(), flow_m3_h: z.number(), tan_mg_L: z.number() }),
      ),
      governing: school,
      tanLoad_g_d: z.number(),
      oxygenDemand_g_d: z.number(),
      oxygenFlow_m3_h: z.number(),
      turnoverFlow_m3_h: z.number(),
    }),
    run: ({ pond, bed }) => {
      const sizing = sizeFilter(
        {
          volumeM3: pond.volume_m3,
          areaM2: pond.area_m2,
          use: pond.use,
          feedKgPerD: pond.feed_kg_d,
          protein: pond.protein,
          tempC: pond.temp_C,
          targetTanMgL: pond.targetTan_mg_L,
        },
        { depthM: bed.depth_m, grainM: bed.grain_m, porosity: bed.porosity },
      )
      return {
        schools: sizing.sizingMethods.map((s) => ({
          school: s.sizingMethod,
          area_m2: s.areaM2,
          volume_m3: s.volumeM3,
          flow_m3_h: s.flowM3PerH,
          tan_mg_L: s.tanMgL,
        })),
        governing: sizing.governing,
        tanLoad_g_d: sizing.tanLoadGPerD,
        oxygenDemand_g_d: sizing.oxygenDemandGPerD,
        oxygenFlow_m3_h: sizing.oxygenFlowM3PerH,
        turnoverFlow_m3_h: sizing.turnoverFlowM3PerH,
      }
    },
  }),
]
