import fc from 'fast-check'
import { drainBack } from './drain-back'
import { bedLossMm, layerLossMm } from './granular-bed'
import { manifoldUniformity } from './manifold'
import { outletFlowM3PerH } from './outlet'
import { frictionFactor, pipeLoss } from './pipe'
import { dutyPoint, pumpHead } from './pump'
import { kinematicViscosityM2PerS, waterDensityKgPerM3 } from './water-properties'
import { francisFlowM3PerH, weirFlowM3PerH } from './weir'

const G = 9.80665

/** Colebrook–White by iteration: the law that Swamee & Jain approximate. */
function colebrook(reynolds: number, relative: number): number {
  let f = 0.02
  for (let i = 0; i < 60; i++) f = (-2 * Math.log10(relative / 3.7 + 2.51 / (reynolds * Math.sqrt(f)))) ** -2
  return f
}

describe('water properties', () => {
  it.each([
    [0, 1.787e-6],
    [10, 1.307e-6],
    [20, 1.004e-6],
    [30, 0.801e-6],
  ])('has the handbook viscosity at %d °C', (tempC, nu) =>
    expect(kinematicViscosityM2PerS(tempC) / nu).toBeCloseTo(1, 1),
  )
  it('is densest near 4 °C', () => {
    expect(waterDensityKgPerM3(4)).toBeCloseTo(1000, 2)
    expect(waterDensityKgPerM3(20)).toBeCloseTo(998.2, 1)
  })
})

describe('pipes', () => {
  it('follows Colebrook–White within 3 % over the usual range', () => {
    for (const re of [5e3, 2e4, 1e5, 5e5])
      for (const rel of [1e-6, 1e-4, 1e-3])
        expect(Math.abs(frictionFactor(re, rel) / colebrook(re, rel) - 1)).toBeLessThan(0.03)
  })
  it('is 64/Re in laminar flow and continuous at both ends of the transition', () => {
    expect(frictionFactor(1000, 1e-4)).toBeCloseTo(0.064, 12)
    expect(frictionFactor(2000.001, 1e-4)).toBeCloseTo(frictionFactor(2000, 1e-4), 5)
    expect(frictionFactor(3999.999, 1e-4)).toBeCloseTo(frictionFactor(4000, 1e-4), 5)
  })
  it('loses as Hazen and Williams tabulate it in its other form', () => {
    const { hazenM, velocityMPerS } = pipeLoss({ flowM3PerH: 15, lengthM: 20, diameterM: 0.0678, hazenC: 150 })
    expect(hazenM / ((6.82 * 20 * (velocityMPerS / 150) ** 1.852) / 0.0678 ** 1.167)).toBeCloseTo(1, 2)
  })
  it('adds K velocity heads for fittings', () => {
    const { minorM, velocityMPerS } = pipeLoss({ flowM3PerH: 10, lengthM: 1, diameterM: 0.05, fittingsK: 3 })
    expect(minorM).toBeCloseTo((3 * velocityMPerS ** 2) / (2 * G), 12)
  })
  it('loses nothing at rest and refuses what cannot be', () => {
    expect(pipeLoss({ flowM3PerH: 0, lengthM: 10, diameterM: 0.05 })).toMatchObject({
      darcyM: 0,
      hazenM: 0,
      minorM: 0,
      reynolds: 0,
    })
    expect(() => pipeLoss({ flowM3PerH: Number.NaN, lengthM: 10, diameterM: 0.05 })).toThrow('flowM3PerH')
    expect(() => pipeLoss({ flowM3PerH: 5, lengthM: 10, diameterM: 0 })).toThrow('diameterM')
  })
  it('always loses more at more flow', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 1.01, max: 3, noNaN: true }),
        (flow, times) => {
          const loss = (flowM3PerH: number) => pipeLoss({ flowM3PerH, lengthM: 10, diameterM: 0.06 }).darcyM
          expect(loss(flow * times)).toBeGreaterThan(loss(flow))
        },
      ),
    )
  })
})

describe('weirs and outlets', () => {
  it('follows Francis: 1 m wide, 100 mm of head', () => {
    expect(francisFlowM3PerH(1, 0.1, 0)).toBeCloseTo(1.84 * 0.1 ** 1.5 * 3600, 9)
    expect(francisFlowM3PerH(1, 0.1, 2)).toBeCloseTo(1.84 * 0.98 * 0.1 ** 1.5 * 3600, 9)
  })
  it('holds for lips narrower than the sheet is deep, where Francis turns negative: 20 mm wide, 200 mm of head', () => {
    // Kindsvater and Carter by hand: 2/3 · 0.602 · √(2g) · (0.02 − 0.0009) · 0.201^1.5
    expect(weirFlowM3PerH(0.02, 0.2) / 3600).toBeCloseTo(
      (2 / 3) * 0.602 * Math.sqrt(2 * 9.80665) * 0.0191 * 0.201 ** 1.5,
      9,
    )
    expect(() => francisFlowM3PerH(0.02, 0.2)).toThrow('widthM')
  })
  it('agrees with Francis within a twentieth where both hold', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 5, noNaN: true }),
        fc.double({ min: 0.02, max: 0.1, noNaN: true }),
        (width, head) => {
          const ratio = weirFlowM3PerH(width, head) / francisFlowM3PerH(width, head, 0)
          expect(ratio).toBeGreaterThan(0.93)
          expect(ratio).toBeLessThan(1.06)
        },
      ),
    ))
  it('grows with width and head', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 10, noNaN: true }),
        fc.double({ min: 0.001, max: 0.4, noNaN: true }),
        (width, head) => {
          expect(weirFlowM3PerH(width * 1.1, head)).toBeGreaterThan(weirFlowM3PerH(width, head))
          expect(weirFlowM3PerH(width, head * 1.1)).toBeGreaterThan(weirFlowM3PerH(width, head))
        },
      ),
    ))
  it('runs dry at no head and refuses NaN', () => {
    expect(weirFlowM3PerH(1, 0)).toBe(0)
    expect(() => weirFlowM3PerH(1, Number.NaN)).toThrow('headM')
  })
  it('is Torricelli with fittings for an outlet of no length', () => {
    const flow = outletFlowM3PerH({ diameterM: 0.1, headM: 0.5, lengthM: 0, fittingsK: 0.5 })
    expect(flow).toBeCloseTo(((Math.PI * 0.01) / 4) * Math.sqrt((2 * G * 0.5) / 1.5) * 3600, 6)
  })
  it('balances: the head is used up by exit, fittings and friction', () => {
    const flow = outletFlowM3PerH({ diameterM: 0.11, headM: 0.3, lengthM: 6, fittingsK: 1.2 })
    const loss = pipeLoss({ flowM3PerH: flow, lengthM: 6, diameterM: 0.11, fittingsK: 2.2 })
    expect(loss.darcyM + loss.minorM).toBeCloseTo(0.3, 6)
  })
})

describe('pumps', () => {
  const curve = [
    { flowM3PerH: 0, headM: 5 },
    { flowM3PerH: 5, headM: 4.2 },
    { flowM3PerH: 10, headM: 2.8 },
    { flowM3PerH: 14, headM: 0 },
  ]
  it('passes through every catalogue point and never rises', () => {
    const head = pumpHead(curve)
    for (const point of curve) expect(head(point.flowM3PerH)).toBeCloseTo(point.headM, 12)
    for (let q = 0.1; q <= 14; q += 0.1) expect(head(q)).toBeLessThanOrEqual(head(q - 0.1) + 1e-12)
  })
  it('meets the system where both ask the same head', () => {
    const duty = dutyPoint(curve, (q) => 1 + 0.02 * q * q)
    if (duty.status !== 'found') throw new Error(duty.status)
    expect(duty.headM).toBeCloseTo(1 + 0.02 * duty.flowM3PerH ** 2, 6)
  })
  it('says when it cannot lift, and when it runs off its curve', () => {
    expect(dutyPoint(curve, () => 6).status).toBe('no-flow')
    expect(dutyPoint(curve.slice(0, 3), () => 1).status).toBe('beyond-curve')
  })
  it('refuses a curve that rises', () =>
    expect(() =>
      pumpHead([
        { flowM3PerH: 0, headM: 2 },
        { flowM3PerH: 3, headM: 3 },
      ]),
    ).toThrow('curve.1.headM'))
})

describe('beds', () => {
  const gravel = { thicknessM: 0.25, grainM: 0.028, porosity: 0.4 }
  it('tends to Kozeny–Carman at creeping flow', () => {
    const v = 0.01 / 3600
    const blake = (150 * kinematicViscosityM2PerS(20) * 0.6 ** 2 * v * 0.25) / (G * 0.4 ** 3 * 0.028 ** 2)
    expect(layerLossMm(gravel, 0.01) / (blake * 1000)).toBeCloseTo(1, 2)
  })
  it('adds its layers', () => {
    const { lossMm, perLayerMm } = bedLossMm([gravel, { ...gravel, grainM: 0.009 }], 5)
    expect(lossMm).toBeCloseTo(perLayerMm[0]! + perLayerMm[1]!, 12)
    expect(perLayerMm[1]).toBeGreaterThan(perLayerMm[0]!)
  })
  it('loses more as pores fill', () =>
    expect(layerLossMm({ ...gravel, porosity: 0.36 }, 5)).toBeGreaterThan(layerLossMm(gravel, 5)))
  it('drains only what stands above the air break', () => {
    const layers = [
      { thicknessM: 0.3, porosity: 0.95 },
      { thicknessM: 0.4, porosity: 0.4 },
    ]
    expect(drainBack(layers, 10, 0.7, 25)).toEqual({ volumeM3: 0, pondRiseMm: 0 })
    expect(drainBack(layers, 10, 0.5, 25).volumeM3).toBeCloseTo(0.2 * 0.4 * 10, 12)
    expect(drainBack(layers, 10, 0, 25).volumeM3).toBeCloseTo((0.3 * 0.95 + 0.4 * 0.4) * 10, 12)
    expect(drainBack(layers, 10, 0, 25).pondRiseMm).toBeCloseTo((4.45 / 25) * 1000, 9)
  })
})

describe('manifolds', () => {
  const manifold = { flowM3PerH: 10, lengthM: 3, diameterM: 0.1, openings: 40, openingAreaM2: 8e-5 }
  it('delivers its flow through its openings and is nearly even when the pipe is wide', () => {
    expect(manifoldUniformity(manifold).uniformity).toBeGreaterThan(0.95)
  })
  it('delivers the wanted flow: more flow asks for about the square of the head', () => {
    const head = (flowM3PerH: number) => manifoldUniformity({ ...manifold, flowM3PerH }).inletHeadM
    expect(head(20) / head(10)).toBeCloseTo(4, 0)
  })
  it('grows uneven when the pipe is narrow for its slots', () => {
    expect(manifoldUniformity({ ...manifold, diameterM: 0.05 }).uniformity).toBeLessThan(
      manifoldUniformity(manifold).uniformity,
    )
  })
  it('needs the orifice head when velocity and friction hardly matter', () => {
    const { inletHeadM } = manifoldUniformity({ ...manifold, diameterM: 0.3 })
    const orifice = (10 / 3600 / 40 / (0.62 * 8e-5)) ** 2 / (2 * G)
    expect(inletHeadM / orifice).toBeCloseTo(1, 2)
  })
})
