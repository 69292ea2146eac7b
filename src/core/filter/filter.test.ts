import fc from 'fast-check'
import { checkDesign } from './checks'
import { closedLoop } from './sizing/recirculating-model'
import { CLOGGING, flushIntervalDays } from './bed/clogging'
import { headFunction } from './flow/head'
import { manifoldUniformity } from '../hydraulics/manifold'
import { evaluateDesign } from './design'
import { NO_GUESTS } from './load/guests'
import type { DesignPond } from './design-input'
import { suggestDesign } from './suggest'
import { BED_MATERIALS, DEFAULT_LAYERS, layerQuantities, layerStability } from './bed/layers'
import {
  arealNitrificationGPerM2D,
  firstOrderRatePerD,
  NITRIFICATION,
  specificSurfaceM2PerM3,
} from './sizing/nitrification'
import { DEFAULT_FILTER_RULES as rules } from './house-rules'
import { PUMP_CATALOGUE } from './flow/pump-catalogue'
import { sizeFilter, surfaceShareAt, type PondToFilter } from './sizing/sizing'

const STONE = { grainM: 0.02, porosity: 0.4 }

const pond: PondToFilter = { volumeM3: 20, areaM2: 25, use: 'koi', feedKgPerD: 0.2, protein: 0.35, tempC: 20 }
const bed = { depthM: 0.45, grainM: 0.02, porosity: 0.4 }
const sizingMethod = (sizing: ReturnType<typeof sizeFilter>, name: string) =>
  sizing.sizingMethods.find((s) => s.sizingMethod === name)!

describe('four schools', () => {
  const sizing = sizeFilter(pond, bed)
  it('share of volume: 20 % for koi, six bed volumes an hour', () =>
    expect(sizingMethod(sizing, 'volume')).toMatchObject({ volumeM3: 4, flowM3PerH: 24 }))
  it('share of surface: 25 % for koi up to 40 m², 60 % of it at 400 m² and beyond', () => {
    expect(sizingMethod(sizing, 'surface').areaM2).toBeCloseTo(6.25, 12)
    expect(surfaceShareAt(40, 'koi', rules)).toBeCloseTo(0.25, 12)
    expect(surfaceShareAt(400, 'koi', rules)).toBeCloseTo(0.15, 12)
    expect(surfaceShareAt(4000, 'koi', rules)).toBeCloseTo(0.15, 12)
    expect(surfaceShareAt(126.49, 'koi', rules)).toBeCloseTo(0.2, 4)
  })
  it('nitrogen: load after Timmons & Ebeling, carried by the stone’s surface at the target', () => {
    expect(sizing.tanLoadGPerD).toBeCloseTo(200 * 0.35 * 0.092, 9)
    const { volumeM3 } = sizingMethod(sizing, 'nitrogen')
    const meanOxygen = (0.9 * 9.0924 + 3) / 2
    const carried =
      arealNitrificationGPerM2D(NITRIFICATION, 0.2, 20, meanOxygen) *
      specificSurfaceM2PerM3(STONE, 1.2) *
      0.5 *
      volumeM3
    expect(carried).toBeCloseTo(sizing.tanLoadGPerD, 4)
  })
  it('closed loop: its own bed and flow hold the pond at the target', () =>
    expect(sizingMethod(sizing, 'closedLoop').tanMgL).toBeCloseTo(0.2, 9))
  it('oxygen flow carries 4.57 g per g TAN and 0.3 kg per kg feed', () => {
    expect(sizing.oxygenDemandGPerD).toBeCloseTo(6.44 * 4.57 + 60, 6)
  })
  it('names the school with the largest bed as governing', () => expect(sizing.governing).toBe('volume'))
  it('grows with feed where it follows the fish, and stays where it does not', () => {
    const fed = sizeFilter({ ...pond, feedKgPerD: 0.4 }, bed)
    expect(sizingMethod(fed, 'nitrogen').areaM2).toBeCloseTo(2 * sizingMethod(sizing, 'nitrogen').areaM2, 9)
    expect(sizingMethod(fed, 'closedLoop').areaM2).toBeGreaterThan(sizingMethod(sizing, 'closedLoop').areaM2)
    expect(sizingMethod(fed, 'volume')).toMatchObject({ volumeM3: 4 })
  })
  it('needs no bed for nitrogen without fish and no tricks with infinity', () => {
    const fishless = sizeFilter({ ...pond, feedKgPerD: 0 }, bed)
    for (const s of fishless.sizingMethods) expect(Number.isFinite(s.areaM2 + s.flowM3PerH + s.tanMgL)).toBe(true)
    expect(sizingMethod(fishless, 'nitrogen').areaM2).toBe(0)
  })
  it('takes a pond of a litre and one of 100,000 m³, and refuses more', () => {
    for (const volumeM3 of [0.001, 100_000]) expect(() => sizeFilter({ ...pond, volumeM3 }, bed)).not.toThrow()
    expect(() => sizeFilter({ ...pond, volumeM3: 100_001 }, bed)).toThrow('volumeM3')
    expect(() => sizeFilter({ ...pond, feedKgPerD: Number.NaN }, bed)).toThrow('feedKgPerD')
  })
})

describe('closed loop', () => {
  const loop = { loadGPerD: 10, flowM3PerH: 5, bedVolumeM3: 3, ratePerD: 8, tanks: 3, backgroundMgL: 0.05 }
  it('is a mixed tank for one tank, plug flow for very many', () => {
    const kvq = (8 * 3) / 120
    expect(closedLoop({ ...loop, tanks: 1 }).eta).toBeCloseTo(kvq / (1 + kvq), 12)
    expect(closedLoop({ ...loop, tanks: 1e6 }).eta).toBeCloseTo(1 - Math.exp(-kvq), 6)
  })
  it('removes each day what comes in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        (loadGPerD, flowM3PerH) => {
          const { eta, concentrationMgL } = closedLoop({ ...loop, loadGPerD, flowM3PerH })
          expect((eta * flowM3PerH * 24 * (concentrationMgL - loop.backgroundMgL)) / loadGPerD).toBeCloseTo(1, 9)
        },
      ),
    )
  })
})

describe('stone', () => {
  it('has the surface of rough spheres', () => expect(specificSurfaceM2PerM3(STONE, 1.2)).toBeCloseTo(216, 9))
  it('nitrifies twice as fast nine degrees warmer', () =>
    expect(firstOrderRatePerD(NITRIFICATION, STONE, 29) / firstOrderRatePerD(NITRIFICATION, STONE, 20)).toBeCloseTo(
      1.08 ** 9,
      9,
    ))
  it('holds the default layers stable and lets pea gravel fall into bridging stone', () => {
    expect(layerStability(DEFAULT_LAYERS, BED_MATERIALS).every((pair) => pair.stable)).toBe(true)
    expect(
      layerStability(
        [
          { material: 'bridging-stone', thicknessM: 0.1 },
          { material: 'pea-gravel', thicknessM: 0.1 },
        ],
        BED_MATERIALS,
      )[0]!.stable,
    ).toBe(false)
  })
  it('weighs 1.55 t per m³', () =>
    expect(layerQuantities([{ material: 'gravel-19-38', thicknessM: 0.25 }], 10, BED_MATERIALS)[0]!.massT).toBeCloseTo(
      3.875,
      12,
    ))
  it('without a chamber clogs in its pores: months, not years', () => {
    const small = { feedKgPerYear: 6, leafKgPerYear: 1, areaM2: 2, poreM3: 0.3 }
    const days = flushIntervalDays({ ...small, chamber: false }, CLOGGING)
    // 2.5 kg of solids a year, 85 % kept, 40 kg/m³, a tenth of 300 L
    expect(days).toBeCloseTo((0.03 / ((2.5 / 40) * 0.85)) * 365, 6)
    expect(days).toBeLessThan(flushIntervalDays({ ...small, chamber: true }, CLOGGING))
  })
  it('is due for a flush sooner with more feed, and never without solids', () => {
    const fouling = { feedKgPerYear: 40, leafKgPerYear: 5, areaM2: 8, poreM3: 1.3, chamber: true }
    expect(flushIntervalDays({ ...fouling, feedKgPerYear: 80 }, CLOGGING)).toBeLessThan(
      flushIntervalDays(fouling, CLOGGING),
    )
    expect(flushIntervalDays({ ...fouling, feedKgPerYear: 0, leafKgPerYear: 0 }, CLOGGING)).toBe(Infinity)
  })
})

const designPond: DesignPond = {
  volumeM3: 20,
  areaM2: 25,
  use: 'koi',
  fish: [{ species: 'koi', count: 8, lengthM: 0.4 }],
  guests: NO_GUESTS,
  fillPhosphateMgL: 0.02,
  lining: 'liner',
  volumeSigmaShare: 0.12,
  shoreM: 20.4,
  altitudeM: 50,
  monthlyTempC: [3, 4, 7, 11, 15, 19, 21, 20, 16, 11, 7, 4],
  leafKgPerYear: 5,
  freeboardM: 0.08,
  ground: null,
}

describe('a worked-out design', () => {
  const design = suggestDesign(designPond, 'volume', rules, PUMP_CATALOGUE)
  const input = { pond: designPond, design, rules, houseMethod: 'volume' as const, pumps: PUMP_CATALOGUE }
  const result = evaluateDesign(input)
  const verdict = (changes: Partial<typeof design>, id: string) => {
    const changed = { ...design, ...changes }
    return checkDesign({ ...input, design: changed, result: evaluateDesign({ ...input, design: changed }) }).find(
      (c) => c.id === id,
    )!.verdict
  }
  it('begins with a bed that passes its size checks and meets its flow', () => {
    expect(result.areaM2).toBeGreaterThanOrEqual(result.neededAreaM2)
    expect(result.flowM3PerH).toBeGreaterThanOrEqual(result.demand.neededM3PerH)
    expect(checkDesign({ ...input, result }).filter((c) => c.verdict === 'stop')).toEqual([])
  })
  it('splits its head so that the parts add up to the duty head', () => {
    const { staticM, darcyM, minorM, bedM, nozzlesM, trainM, totalM } = result.head
    expect(staticM + darcyM + minorM + bedM + nozzlesM + trainM).toBeCloseTo(totalM, 12)
    expect(result.duty.status === 'found' && result.duty.headM).toBeCloseTo(totalM, 5)
  })
  it('reads the slots’ head off between solved flows within a thousandth of what the pipe gives', () => {
    const headAt = headFunction(design, rules)
    const { manifold, lengthM, vessels } = design
    for (const flowM3PerH of [0.7, 3.3, 7.9, 12.1, 19.6]) {
      const { inletHeadM } = manifoldUniformity({
        flowM3PerH: flowM3PerH / vessels / manifold.laterals,
        lengthM,
        diameterM: manifold.diameterM,
        openings: manifold.slots,
        openingAreaM2: manifold.slotAreaM2,
      })
      expect(headAt(flowM3PerH).nozzlesM / inletHeadM).toBeCloseTo(1, 3)
    }
  })
  it('sizes for the warm months and for the grown fish', () => {
    const nitrogen = (sizing: typeof result.now) => sizing.sizingMethods.find((s) => s.sizingMethod === 'nitrogen')!
    expect(nitrogen(result.grown).areaM2).toBeGreaterThan(nitrogen(result.now).areaM2)
    expect(designPond.monthlyTempC[nitrogen(result.grown).month]).toBeGreaterThanOrEqual(15)
  })
  it('stops a bed far too small, a pump that cannot lift, and a bed that drains over the rim', () => {
    expect(verdict({ lengthM: 0.6, widthM: 0.5 }, 'house-size')).toBe('stop')
    expect(verdict({ staticLiftM: 15 }, 'duty-in-range')).toBe('stop')
    expect(verdict({ airBreakM: 0 }, 'drain-back')).not.toBe('pass')
  })
  it('looks twice at a bed without a planting layer', () =>
    expect(verdict({ layers: DEFAULT_LAYERS.slice(0, 4) }, 'root-zone')).toBe('look'))
  it('stops layers that fall through each other', () =>
    expect(
      verdict(
        { layers: [...DEFAULT_LAYERS.slice(0, 3), { material: 'pea-gravel', thicknessM: 0.1 }] },
        'layer-stability',
      ),
    ).toBe('stop'))
  it('refuses a pump it does not know and a bed without stone', () => {
    expect(() => evaluateDesign({ ...input, design: { ...design, pumpId: 'none' } })).toThrow('pumpId')
    expect(() =>
      evaluateDesign({ ...input, design: { ...design, layers: [{ material: 'void-modules', thicknessM: 0.3 }] } }),
    ).toThrow('layers')
  })
})

describe('the pump catalogue', () => {
  it.each(PUMP_CATALOGUE.map((p) => [p.name, p] as const))(
    '%s has a falling curve, a sane range and an efficiency below 75 %%',
    (_, p) => {
      p.curve.slice(1).forEach((point, i) => {
        expect(point.flowM3PerH).toBeGreaterThan(p.curve[i]!.flowM3PerH)
        expect(point.headM).toBeLessThan(p.curve[i]!.headM)
      })
      const best = Math.max(...p.curve.map((c) => (c.flowM3PerH / 3600) * c.headM * 9806.65))
      expect(best / p.powerW).toBeLessThan(0.75)
      expect(p.recommended[0]).toBeLessThan(p.recommended[1])
    },
  )
})
