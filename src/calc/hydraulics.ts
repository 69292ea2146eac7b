import { z } from 'zod'
import { bedLossMm, GRANULAR_RANGE } from '../core/hydraulics/granular-bed'
import { drainBack } from '../core/hydraulics/drain-back'
import { OUTLET_RANGE, outletFlowM3PerH } from '../core/hydraulics/outlet'
import { PIPE_RANGE, pipeLoss } from '../core/hydraulics/pipe'
import { dutyPoint } from '../core/hydraulics/pump'
import { WATER_TEMPERATURE_RANGE } from '../core/hydraulics/water-properties'
import { fallsLook, FALLS_LOOKS, sheetM } from '../core/hydraulics/falls'
import { francisFlowM3PerH, francisHolds, weirFlowM3PerH, WEIR_RANGE } from '../core/hydraulics/weir'
import { DomainError } from '../core/errors'
import { defineCalculation, numberIn } from './define'

const waterTemp = numberIn(WATER_TEMPERATURE_RANGE).default(20)

export const HYDRAULICS_CALCULATIONS = [
  defineCalculation({
    name: 'hydraulics.pipe',
    summary: 'Head lost in a pipe: Darcy–Weisbach, Hazen–Williams beside it, fittings',
    input: z.strictObject({
      flow_m3_h: numberIn(PIPE_RANGE.flowM3PerH),
      length_m: numberIn(PIPE_RANGE.lengthM),
      diameter_m: numberIn(PIPE_RANGE.diameterM),
      roughness_m: numberIn(PIPE_RANGE.roughnessM).optional(),
      cHazen: numberIn(PIPE_RANGE.hazenC).optional(),
      k: numberIn(PIPE_RANGE.fittingsK).default(0),
      temp_C: waterTemp,
    }),
    output: z.object({
      darcy_m: z.number(),
      hazen_m: z.number(),
      minor_m: z.number(),
      velocity_m_s: z.number(),
      reynolds: z.number(),
    }),
    run: (p) => {
      const loss = pipeLoss({
        flowM3PerH: p.flow_m3_h,
        lengthM: p.length_m,
        diameterM: p.diameter_m,
        roughnessM: p.roughness_m,
        hazenC: p.cHazen,
        fittingsK: p.k,
        tempC: p.temp_C,
      })
      return {
        darcy_m: loss.darcyM,
        hazen_m: loss.hazenM,
        minor_m: loss.minorM,
        velocity_m_s: loss.velocityMPerS,
        reynolds: loss.reynolds,
      }
    },
  }),
  defineCalculation({
    name: 'hydraulics.duty',
    summary: 'Duty point of a pump on a system of static head plus resistance times flow squared',
    input: z.strictObject({
      curve: z
        .array(z.strictObject({ flow_m3_h: numberIn([0, 5000]), head_m: numberIn([0, 200]) }))
        .min(2)
        .max(100),
      static_m: numberIn([-20, 200]),
      resistance: numberIn([0, 1e6], 'm of head per (m³/h)²'),
    }),
    output: z.object({
      flow_m3_h: z.number(),
      head_m: z.number(),
      status: z.enum(['found', 'no-flow', 'beyond-curve']),
    }),
    run: ({ curve, static_m, resistance }) => {
      const duty = dutyPoint(
        curve.map((p) => ({ flowM3PerH: p.flow_m3_h, headM: p.head_m })),
        (q) => static_m + resistance * q * q,
      )
      if (duty.status === 'no-flow')
        throw new DomainError('static_m', static_m, `below the pump's highest head of ${duty.shutoffHeadM} m`)
      return { flow_m3_h: duty.flowM3PerH, head_m: duty.headM, status: duty.status }
    },
  }),
  defineCalculation({
    name: 'hydraulics.weir',
    summary:
      'Flow over a weir or spillway lip: Francis where it is at least three heads wide, else Kindsvater and Carter',
    input: z.strictObject({
      width_m: numberIn(WEIR_RANGE.widthM),
      head_m: numberIn(WEIR_RANGE.headM),
      contractions: z.union([z.literal(0), z.literal(1), z.literal(2)]).default(2),
    }),
    output: z.object({ flow_m3_h: z.number(), method: z.enum(['francis', 'kindsvater-carter']) }),
    run: ({ width_m, head_m, contractions }) =>
      francisHolds(width_m, head_m)
        ? { flow_m3_h: francisFlowM3PerH(width_m, head_m, contractions), method: 'francis' as const }
        : {
            flow_m3_h: weirFlowM3PerH(width_m, head_m, contractions === 0 ? 'lip' : 'notch'),
            method: 'kindsvater-carter' as const,
          },
  }),
  defineCalculation({
    name: 'hydraulics.fallsSheet',
    summary: 'Thickness of the sheet that a flow makes over a spillway lip, and how it looks',
    input: z.strictObject({ flow_m3_h: numberIn([0, 1e5]), width_m: numberIn(WEIR_RANGE.widthM) }),
    output: z.object({ sheet_mm: z.number(), look: z.enum(FALLS_LOOKS.map((step) => step.look)) }),
    run: ({ flow_m3_h, width_m }) => {
      const thicknessM = sheetM(flow_m3_h, width_m)
      return { sheet_mm: thicknessM * 1000, look: fallsLook(thicknessM) }
    },
  }),
  defineCalculation({
    name: 'hydraulics.outlet',
    summary: 'Full-bore flow of a gravity return',
    input: z.strictObject({
      diameter_m: numberIn(PIPE_RANGE.diameterM),
      head_m: numberIn(OUTLET_RANGE.headM),
      length_m: numberIn(PIPE_RANGE.lengthM),
      k: numberIn(PIPE_RANGE.fittingsK, 'entrance and fittings; the exit velocity head is added'),
      roughness_m: numberIn(PIPE_RANGE.roughnessM).optional(),
    }),
    output: z.object({ flow_m3_h: z.number() }),
    run: (o) => ({
      flow_m3_h: outletFlowM3PerH({
        diameterM: o.diameter_m,
        headM: o.head_m,
        lengthM: o.length_m,
        fittingsK: o.k,
        roughnessM: o.roughness_m,
      }),
    }),
  }),
  defineCalculation({
    name: 'bed.headLoss',
    summary: 'Head lost in layers of stone (Ergun)',
    input: z.strictObject({
      layers: z
        .array(
          z.strictObject({
            thickness_m: numberIn(GRANULAR_RANGE.thicknessM),
            grain_m: numberIn(GRANULAR_RANGE.grainM),
            porosity: numberIn(GRANULAR_RANGE.porosity),
          }),
        )
        .min(1)
        .max(50),
      velocity_m_h: numberIn(GRANULAR_RANGE.velocityMPerH),
      temp_C: waterTemp,
    }),
    output: z.object({ loss_mm: z.number(), perLayer_mm: z.array(z.number()) }),
    run: ({ layers, velocity_m_h, temp_C }) => {
      const { lossMm, perLayerMm } = bedLossMm(
        layers.map((l) => ({ thicknessM: l.thickness_m, grainM: l.grain_m, porosity: l.porosity })),
        velocity_m_h,
        temp_C,
      )
      return { loss_mm: lossMm, perLayer_mm: perLayerMm }
    },
  }),
  defineCalculation({
    name: 'bed.drainBack',
    summary: 'Water that runs back when the pump stops, and how far the pond rises',
    input: z.strictObject({
      layers: z
        .array(z.strictObject({ thickness_m: numberIn(GRANULAR_RANGE.thicknessM), porosity: numberIn([0.05, 1]) }))
        .min(1)
        .max(50),
      area_m2: z.number().positive().max(1e5),
      drainTo_m: numberIn([0, 20], "level of the highest air break above the bed's base"),
      pondArea_m2: z.number().positive().max(1e6),
    }),
    output: z.object({ volume_m3: z.number(), pondRise_mm: z.number() }),
    run: (b) => {
      const { volumeM3, pondRiseMm } = drainBack(
        b.layers.map((l) => ({ thicknessM: l.thickness_m, porosity: l.porosity })),
        b.area_m2,
        b.drainTo_m,
        b.pondArea_m2,
      )
      return { volume_m3: volumeM3, pondRise_mm: pondRiseMm }
    },
  }),
]
