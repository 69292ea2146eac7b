import { manifoldUniformity } from './manifold'
import fc from 'fast-check'
import { DEFAULT_TABLES, fittingsK, nearestSize, nextBoreM, sizeRank } from './fittings'
import { fallsLook, fallsReaeration, sheetM } from './falls'
import { partFullFlowM3PerH } from './manning'
import { writeInp, type FlowNetwork } from './network/inp'
import { reportMessages, solveInp } from './network/solve-inp'
import { pipeLoss } from './pipe'
import { dutyPoint } from './pump'
import { pumpSetCurve } from './pump-set'
import { weirFlowM3PerH } from './weir'

describe('part-full pipes', () => {
  it('agree with a Manning table: 150 mm, 1 %, n 0.013 runs full with about 15.2 L/s', () => {
    expect(partFullFlowM3PerH(0.15, 0.01, 1, 0.013) / 3.6).toBeCloseTo(15.23, 1)
  })
  it('carry half of it half full, and most at about 94 %', () => {
    expect(partFullFlowM3PerH(0.15, 0.01, 0.5) / partFullFlowM3PerH(0.15, 0.01, 1)).toBeCloseTo(0.5, 9)
    expect(partFullFlowM3PerH(0.15, 0.01, 0.94)).toBeGreaterThan(partFullFlowM3PerH(0.15, 0.01, 1))
    expect(partFullFlowM3PerH(0.15, 0.01, 0)).toBe(0)
  })
})

describe('falls', () => {
  it('invert the weir', () => expect(sheetM(weirFlowM3PerH(0.8, 0.03), 0.8)).toBeCloseTo(0.03, 5))
  it('of a narrow lip are as thick as the flow makes them: 5 m³/h over 60 mm', () => {
    const thickness = sheetM(5, 0.06)
    expect(weirFlowM3PerH(0.06, thickness)).toBeCloseTo(5, 4)
    expect(fallsLook(thickness)).toBe('torrent')
  })
  it('are a film below 5 mm, a curtain to 15, full to 40, a torrent above', () =>
    expect([0.0049, 0.005, 0.0149, 0.015, 0.0399, 0.04].map(fallsLook)).toEqual([
      'trickle',
      'curtain',
      'curtain',
      'full',
      'full',
      'torrent',
    ]))
  it('are named from dry to torrent', () =>
    expect([0, 0.004, 0.01, 0.03, 0.08].map(fallsLook)).toEqual(['dry', 'trickle', 'curtain', 'full', 'torrent']))
  it('bring more air the higher they are', () => {
    expect(fallsReaeration(0, 20)).toBe(0)
    expect(fallsReaeration(1, 20)).toBeGreaterThan(fallsReaeration(0.4, 20))
  })
})

describe('fittings and sizes', () => {
  const { pipes } = DEFAULT_TABLES
  it('sum K by count', () =>
    expect(fittingsK({ 'elbow-90': 2, exit: 1 }, DEFAULT_TABLES.fittings)).toBeCloseTo(2 * 0.9 + 1, 12))
  it('name a fitting that the table does not hold', () =>
    expect(() => fittingsK({ 'long-bend': 1 }, DEFAULT_TABLES.fittings)).toThrow(/long-bend/))
  it('go up one size at a time and stop at the largest', () => {
    expect(nextBoreM(0.045, pipes)).toBe(0.057)
    expect(nextBoreM(1, pipes)).toBe(pipes[pipes.length - 1]!.boreM)
    expect(sizeRank(0.057, pipes)).toBe(sizeRank(0.045, pipes) + 1)
    expect(nearestSize(0.058, pipes).name).toBe('63 mm')
  })
})

describe('pumps together', () => {
  const curve = [
    { flowM3PerH: 0, headM: 6 },
    { flowM3PerH: 10, headM: 4 },
    { flowM3PerH: 16, headM: 0 },
  ]
  const flow = (set: Parameters<typeof pumpSetCurve>[1], resistance: number, lift: number) => {
    const duty = dutyPoint(pumpSetCurve(curve, set), (q) => lift + resistance * q * q)
    return duty.status === 'found' ? duty.flowM3PerH : 0
  }
  const single = { arrangement: 'single', count: 1, speed: 1 } as const
  it('side by side help where pipes are wide, one after the other where the lift is high', () => {
    expect(flow({ arrangement: 'parallel', count: 2, speed: 1 }, 0.002, 1)).toBeGreaterThan(
      flow({ arrangement: 'series', count: 2, speed: 1 }, 0.002, 1),
    )
    expect(flow(single, 0.01, 8)).toBe(0)
    expect(flow({ arrangement: 'series', count: 2, speed: 1 }, 0.01, 8)).toBeGreaterThan(0)
  })
  it('follow the affinity laws', () =>
    expect(pumpSetCurve(curve, { ...single, speed: 0.5 })[1]).toEqual({ flowM3PerH: 5, headM: 1 }))
})

describe('networks', () => {
  const network: FlowNetwork = {
    title: 'One pump, one pipe',
    levels: [
      { id: 'POND', headM: 0 },
      { id: 'BED', headM: 1 },
    ],
    junctions: [{ id: 'J', elevationM: 0 }],
    pipes: [{ id: 'p', from: 'J', to: 'BED', lengthM: 12, boreM: 0.057, roughnessM: 1.5e-6, k: 4 }],
    pumps: [
      {
        id: 'pump1',
        from: 'POND',
        to: 'J',
        curve: [
          { flowM3PerH: 0, headM: 4 },
          { flowM3PerH: 6, headM: 2.7 },
          { flowM3PerH: 10.6, headM: 0 },
        ],
      },
    ],
    losses: [],
  }
  it('agree with the duty point of one pump on one pipe', async () => {
    const solved = await solveInp(writeInp(network))
    if (!solved.ok) throw new Error(solved.problem.messages.join())
    const flow = solved.value.links.find((l) => l.id === 'p')!.flowM3PerH
    const loss = pipeLoss({ flowM3PerH: flow, lengthM: 12, diameterM: 0.057, fittingsK: 4 })
    const head = solved.value.nodes.find((n) => n.id === 'J')!.headM
    // the engine's own friction formula and viscosity differ a little from ours
    expect(Math.abs(head - (1 + loss.darcyM + loss.minorM)) / head).toBeLessThan(0.02)
  })
  it('keep what comes in equal to what goes out at every junction', async () => {
    const split: FlowNetwork = {
      ...network,
      levels: [...network.levels, { id: 'FALLS', headM: 0.8 }],
      pipes: [...network.pipes, { ...network.pipes[0]!, id: 'q', to: 'FALLS', boreM: 0.036 }],
    }
    const solved = await solveInp(writeInp(split))
    if (!solved.ok) throw new Error(solved.problem.messages.join())
    const flow = (id: string) => solved.value.links.find((l) => l.id === id)!.flowM3PerH
    expect(flow('p') + flow('q')).toBeCloseTo(flow('pump1'), 3)
    expect(flow('p')).toBeGreaterThan(flow('q'))
  })
  it('turn gallons and feet of a foreign file into metres', async () => {
    const us =
      '[RESERVOIRS]\n A 10\n B 0\n[JUNCTIONS]\n J 0 0\n[PIPES]\n p A J 100 4 150 0 Open\n q J B 100 4 150 0 Open\n[OPTIONS]\n Units GPM\n Headloss H-W\n[END]\n'
    const solved = await solveInp(us)
    if (!solved.ok) throw new Error(solved.problem.messages.join())
    expect(solved.value.nodes.find((n) => n.id === 'A')!.headM).toBeCloseTo(3.048, 6)
    // Hazen–Williams over both pipes: h = 10.67 L Q^1.852 / (C^1.852 D^4.8704)
    const q = ((3.048 * 150 ** 1.852 * 0.1016 ** 4.8704) / (10.67 * 60.96)) ** (1 / 1.852)
    expect(solved.value.links[0]!.flowM3PerH).toBeCloseTo(q * 3600, 0)
  })
  it('name the line they cannot read', async () => {
    const broken = await solveInp(
      '[RESERVOIRS]\n P 0\n[JUNCTIONS]\n J 0 abc\n[PIPES]\n p1 J X 50 100 150 0 Open\n[END]\n',
    )
    expect(broken.ok).toBe(false)
    const words = broken.ok ? '' : broken.problem.messages.join('\n')
    expect(words).toContain('J 0 abc')
    expect(words).toContain('undefined node X')
  })
  it.each(['', 'not a network', '[PIPES', '\u0000\u0001'])('refuse “%s” with words', async (text) => {
    const outcome = await solveInp(text)
    expect(outcome.ok).toBe(false)
    if (!outcome.ok) expect(outcome.problem.messages[0]).toMatch(/\w{4}/)
  })
  it('read a report’s errors with their lines', () =>
    expect(
      reportMessages(
        'Page 1\n  Error 203: undefined node X in [PIPES] section:\n   p1 J X\n\n  Error 200: one or more',
      ),
    ).toEqual(['Error 203: undefined node X in [PIPES] section: “p1 J X”']))
})

describe('a slotted pipe next to standing water', () => {
  it('has a head at every flow, however small', () => {
    fc.assert(
      fc.property(fc.double({ min: -12, max: 1, noNaN: true }), (power) => {
        const { inletHeadM, uniformity } = manifoldUniformity({
          flowM3PerH: 10 ** power,
          lengthM: 0.5,
          diameterM: 0.1,
          openings: 20,
          openingAreaM2: 1.5e-4,
        })
        expect(Number.isFinite(inletHeadM)).toBe(true)
        expect(uniformity).toBeGreaterThan(0)
      }),
      { numRuns: 500 },
    )
  })
})
