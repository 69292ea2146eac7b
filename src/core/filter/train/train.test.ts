import fc from 'fast-check'
import { koiPond as pond } from '../../../../tests/fixtures/design-pond'
import { trainUnit } from '../../../../tests/fixtures/train-unit'
import { checkDesign, type CheckId } from '../checks'
import { TRAIN_LIMITS } from '../checks/train'
import { evaluateDesign } from '../design'
import type { DesignPond, FilterDesign } from '../design-input'
import { firstFlowPlan } from '../flow/flow-plan'
import { PUMP_CATALOGUE as pumps } from '../flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { remedied } from '../remedies'
import { CLOSED_LOOP, closedLoop } from '../sizing/recirculating-model'
import { NITRIFICATION } from '../sizing/nitrification'
import { suggestDesign } from '../suggest'
import { keptShares, largerThan, litterPast, solidsPast } from './capture'
import { wettedShare, WETTING_M_PER_H } from './media'
import { newUnit } from './new-unit'
import { inOrder, misplaced } from './order'
import { clearedM3PerD } from './removal'
import { lineHeadM, unitHeadM } from './train-head'
import { isInline, TRAIN_KINDS, type TrainKind, type TrainUnit } from './train-unit'
import { UNIT_FACTS } from './unit-facts'
import { lampFor, UV, uvDoseMjPerCm2 } from './uv'

const bare = suggestDesign(pond, 'volume', rules, pumps, 'lined-wetland')
const work = (design: FilterDesign, of: DesignPond = pond) => {
  const given = { pond: of, design, rules, houseMethod: 'volume' as const, pumps }
  const result = evaluateDesign(given)
  return { given: { ...given, result }, result, checks: checkDesign({ ...given, result }) }
}
const withTrain = (...train: readonly TrainUnit[]) => work({ ...bare, train })
const find = ({ checks }: ReturnType<typeof work>, id: CheckId) => checks.find((c) => c.id === id)
const mended = (of: ReturnType<typeof work>, id: CheckId) => work(remedied(id, of.given)!)
const passed = (unit: TrainUnit, flowM3PerH = 10) => ({ unit, lineM3PerH: flowM3PerH, flowM3PerH })

describe('what screens keep', () => {
  it('is about half of the solids at 60 µm, a quarter at 300 µm, and less once a pump has broken them', () => {
    expect(largerThan(60, false)).toBeCloseTo(0.531, 3)
    expect(largerThan(300, false)).toBeCloseTo(0.243, 3)
    expect(largerThan(300, true)).toBeCloseTo(0.135, 3)
    expect(largerThan(0, false)).toBe(1)
  })
  it('is nothing more after a finer screen, and after a coarser one only what that let through', () => {
    const drum = trainUnit('drum', { line: 'intake' })
    const sieve = trainUnit('sieve', { line: 'intake' })
    const alone = keptShares([passed(drum)], 10)[0]!
    expect(keptShares([passed(drum), passed(sieve)], 10)).toEqual([alone, 0])
    const both = keptShares([passed(sieve), passed(drum)], 10)
    expect(1 - solidsPast(both)).toBeCloseTo(alone, 12)
  })
  it('falls with what comes over the rated flow, with and without a way past', () => {
    const drum = trainUnit('drum', { line: 'intake' })
    const [full] = keptShares([passed(drum, 10)], 10)
    for (const overflow of [true, false]) {
      const unit = { ...drum, overflow }
      const [half] = keptShares([{ unit, lineM3PerH: 20, flowM3PerH: overflow ? 10 : 20 }], 20)
      expect(half).toBeCloseTo(full! / 2, 12)
    }
  })
  it('on a line of their own is their part of the water that goes round', () => {
    const beside = trainUnit('pressurised', { line: 'side', ratedFlowM3PerH: 5 })
    const [whole] = keptShares([passed({ ...beside, line: 'pressure' }, 5)], 5)
    expect(keptShares([passed(beside, 5)], 15)).toEqual([whole! / 4])
  })
  it('of leaves is what skimmers and then screens leave; skimmers take no faeces', () => {
    const skimmer = trainUnit('skimmer-wall')
    expect(litterPast([skimmer, skimmer])).toBeCloseTo(0.5, 12)
    expect(litterPast([skimmer, trainUnit('basket')])).toBeCloseTo(0.5 * 0.2, 12)
    expect(keptShares([passed(skimmer)], 10)).toEqual([0])
  })
  it('keeps the bed clean for longer', () => {
    const [plain, screened] = [withTrain(), withTrain(trainUnit('drum', { ratedFlowM3PerH: 60 }))]
    expect(screened.result.flushDays).toBeGreaterThan(1.5 * plain.result.flushDays)
  })
})

describe('head of the train', () => {
  it('grows with the square of the flow, and stays as it is where the surplus goes past', () => {
    const drum = trainUnit('drum')
    expect(unitHeadM(drum, 20)).toBeCloseTo(4 * unitHeadM(drum, 10), 12)
    expect(unitHeadM({ ...drum, overflow: true }, 20)).toBeCloseTo(unitHeadM(drum, 10), 12)
  })
  it('of a tower is its height, what it stands over, and its spray bar', () =>
    expect(unitHeadM(trainUnit('trickle-tower', { line: 'pressure', heightM: 1.4 }), 10)).toBeCloseTo(
      1.4 + 0.3 + 0.3,
      12,
    ))
  it('is the same to the pump before it and after it, and less flow comes', () => {
    const [before, after] = (['intake', 'pressure'] as const).map((line) =>
      withTrain(trainUnit('drum', { line, ratedFlowM3PerH: 12 })),
    )
    expect(before!.result.flowM3PerH).toBeCloseTo(after!.result.flowM3PerH, 9)
    expect(before!.result.flowM3PerH).toBeLessThan(withTrain().result.flowM3PerH)
    expect(before!.result.head.trainM).toBeCloseTo(before!.result.train.units[0]!.headM, 9)
  })
  it('never falls with the flow', () => {
    fc.assert(
      fc.property(fc.subarray([...TRAIN_KINDS]), fc.double({ min: 0.1, max: 40, noNaN: true }), (kinds, flow) => {
        const train = kinds.map((kind) => trainUnit(kind))
        for (const line of ['intake', 'pressure'] as const)
          expect(lineHeadM(train, line, flow * 1.1)).toBeGreaterThanOrEqual(lineHeadM(train, line, flow) - 1e-12)
      }),
    )
  })
})

describe('ammonia along the train', () => {
  const bed = { flowM3PerH: 8, stoneM3: 3, rateAt: () => 40 }
  const AT = { tempC: 20, rate: 1, nitrification: NITRIFICATION }
  it('of a bed alone is that of the recirculating model', () => {
    const { eta } = closedLoop({ loadGPerD: 10, flowM3PerH: 8, bedVolumeM3: 3, ratePerD: 40, ...CLOSED_LOOP })
    expect(clearedM3PerD(bed, [], 10, AT).totalM3PerD).toBeCloseTo(eta * 8 * 24, 9)
  })
  it('one after the other is what each leaves to the next; beside it is its own', () => {
    const units = [passed(trainUnit('static-bed', { mediaL: 300 })), passed(trainUnit('moving-bed', { mediaL: 200 }))]
    const { unitsM3PerD, bedM3PerD } = clearedM3PerD({ ...bed, flowM3PerH: 10 }, units, 10, AT)
    const alone = units.map((unit) => clearedM3PerD({ ...bed, stoneM3: 0 }, [unit], 10, AT).totalM3PerD / 240)
    expect(unitsM3PerD[0]! / 240).toBeCloseTo(alone[0]!, 12)
    expect(unitsM3PerD[1]! / 240).toBeCloseTo((1 - alone[0]!) * alone[1]!, 12)
    const stone = clearedM3PerD({ ...bed, flowM3PerH: 10 }, [], 10, AT).totalM3PerD
    expect(bedM3PerD).toBeCloseTo((1 - alone[0]!) * (1 - alone[1]!) * stone, 9)
    const side = passed(trainUnit('moving-bed', { line: 'side', mediaL: 200 }), 5)
    expect(clearedM3PerD(bed, [side], 10, AT).bedM3PerD).toBe(clearedM3PerD(bed, [], 10, AT).totalM3PerD)
  })
  it('is carried away at the level that the pond settles at, month by month', () => {
    const { result } = withTrain(trainUnit('moving-bed', { mediaL: 150, ratedFlowM3PerH: 20 }))
    const removed = result.monthlyTanMgL[6]! - CLOSED_LOOP.backgroundMgL
    const { treatment, grown } = result
    const { tempC, tanLoadGPerD } = grown.months[6]!
    const cleared = tanLoadGPerD / removed
    expect(cleared).toBeGreaterThan(0)
    const plain = withTrain().result
    expect(result.worstTanMgL).toBeLessThan(plain.worstTanMgL)
    expect(treatment.mediaAsBedM3).toBeGreaterThan(0)
    expect(tempC).toBe(21)
  })
  it('wants a tower wet: 4 m/h over its plan, no more than all of it', () => {
    const tower = trainUnit('trickle-tower', { mediaL: 120, heightM: 1.2 })
    expect(wettedShare(tower, 0.1 * WETTING_M_PER_H)).toBeCloseTo(1, 12)
    expect(wettedShare(tower, 0.05 * WETTING_M_PER_H)).toBeCloseTo(0.5, 12)
    expect(wettedShare(tower, 10)).toBe(1)
  })
  it('brings its own air: the bed wants less oxygen of the water', () => {
    const demand = (...train: readonly TrainUnit[]) => work({ ...bare, train }, { ...pond, leafKgPerYear: 0 }).result
    const aired = demand(trainUnit('moving-bed', { mediaL: 400, ratedFlowM3PerH: 20 }))
    const still = demand(trainUnit('static-bed', { mediaL: 640, ratedFlowM3PerH: 20 }))
    const plain = demand()
    expect(aired.demand.oxygenM3PerH).toBeLessThan(0.9 * plain.demand.oxygenM3PerH)
    expect(still.demand.oxygenM3PerH).toBeCloseTo(plain.demand.oxygenM3PerH, 9)
  })
  it('without a bed is what the media of the train take', () => {
    const none = { ...suggestDesign(pond, 'volume', rules, pumps, 'none'), pumpId: bare.pumpId }
    const tan = (mediaL: number) =>
      work({ ...none, train: [trainUnit('moving-bed', { mediaL, ratedFlowM3PerH: 20 })] }).result.worstTanMgL
    expect(tan(500)).toBeLessThan(tan(100))
    expect(tan(100)).toBeLessThan(work(none).result.worstTanMgL)
  })
})

describe('UV', () => {
  it('in clear water gives power times gap over flow, in dark water less', () => {
    // 55 W: 55 · 0.33 · 0.8 W of UVC over 3 cm in 10 m³/h = 2777.8 cm³/s
    const clear = (55 * UV.uvcShare * UV.sleeveShare * 1000 * UV.gapCm) / 2777.78
    expect(uvDoseMjPerCm2(55, 10, 0, 1e-9)).toBeCloseTo(clear, 3)
    expect(uvDoseMjPerCm2(55, 10, 0, UV.clearPerCm)).toBeLessThan(clear)
    expect(uvDoseMjPerCm2(55, 10, 0)).toBeLessThan(uvDoseMjPerCm2(55, 10, 0, UV.clearPerCm))
  })
  it('falls with flow and with age, by three tenths in a life', () => {
    expect(uvDoseMjPerCm2(55, 20, 0)).toBeCloseTo(uvDoseMjPerCm2(55, 10, 0) / 2, 12)
    expect(uvDoseMjPerCm2(55, 10, 1)).toBeCloseTo(0.7 * uvDoseMjPerCm2(55, 10, 0), 12)
    expect(uvDoseMjPerCm2(55, 0, 0)).toBe(Infinity)
  })
  it('that no lamp is strong enough for is put where a part of the flow goes past', () => {
    const unit = newUnit('uv', { flowM3PerH: 90, pondM3: 200 })
    expect(unit).toMatchObject({ lampW: 300, overflow: true })
    expect(uvDoseMjPerCm2(300, unit.ratedFlowM3PerH, 1)).toBeGreaterThanOrEqual(UV.wantedMjPerCm2)
    const strongest = withTrain(trainUnit('uv', { lampW: 300, ratedFlowM3PerH: 60 }))
    const large = work({ ...strongest.given.design, pumpId: pumps.at(-1)!.id })
    expect(find(large, 'uv-dose')!.verdict).toBe('look')
    expect(find(mended(large, 'uv-dose'), 'uv-dose')!.verdict).toBe('pass')
  })
  it('is sized for the end of the lamp; too weak a lamp is a review that the next one mends', () => {
    for (const flow of [2, 5, 10, 18])
      expect(uvDoseMjPerCm2(lampFor(flow), flow, 1)).toBeGreaterThanOrEqual(UV.wantedMjPerCm2)
    const weak = withTrain(trainUnit('uv', { lampW: 11, ratedFlowM3PerH: 30 }))
    expect(find(weak, 'uv-dose')!.verdict).toBe('look')
    expect(find(mended(weak, 'uv-dose'), 'uv-dose')!.figure).toBeGreaterThan(find(weak, 'uv-dose')!.figure)
  })
})

describe('the gravity intake', () => {
  const gravity = (count: number, diameterM: number, ratedFlowM3PerH = 60) =>
    work({
      ...bare,
      train: [trainUnit('drum', { line: 'intake', ratedFlowM3PerH })],
      intakePipe: { count, diameterM, lengthM: 6 },
    })
  it('draws the pump’s chamber down by its pipes and units; a narrow one stops, a wide one does not', () => {
    const [narrow, wide] = [gravity(1, 0.057), gravity(2, 0.1036)]
    expect(narrow.result.train.intakeDropM).toBeGreaterThan(TRAIN_LIMITS.intakeStopM)
    expect(find(narrow, 'intake-level')!.verdict).toBe('stop')
    expect(find(wide, 'intake-level')!.verdict).toBe('pass')
    expect(wide.result.flowM3PerH).toBeGreaterThan(narrow.result.flowM3PerH)
  })
  it('is mended by its remedy, step by step', () => {
    let state = gravity(1, 0.057)
    for (let i = 0; i < 8 && find(state, 'intake-level')!.verdict !== 'pass'; i++) state = mended(state, 'intake-level')
    expect(find(state, 'intake-level')!.verdict).toBe('pass')
  })
  it('is mended at the unit where that is what is too small', () => {
    const small = gravity(3, 0.1036, 5)
    expect(find(small, 'intake-level')!.verdict).not.toBe('pass')
    expect(mended(small, 'intake-level').result.train.units[0]!.unit.ratedFlowM3PerH).toBeGreaterThan(5)
  })
})

describe('a split flow and the train', () => {
  it('loses the train’s head, in the delivery at the whole flow', () => {
    const network = firstFlowPlan(bare)
    const [plain, drummed] = [[], [trainUnit('pressurised', { ratedFlowM3PerH: 12 })]].map((train) =>
      work({ ...bare, network, train }),
    )
    expect(drummed!.result.flowM3PerH).toBeLessThan(0.95 * plain!.result.flowM3PerH)
    const { velocityMPerS } = plain!.result.head
    const bore = bare.delivery.diameterM
    expect(velocityMPerS).toBeCloseTo(plain!.result.flowM3PerH / 3600 / ((Math.PI * bore ** 2) / 4), 9)
  })
  it('feeds a tower through its branch: what it takes there treats, and no pump of its own runs', () => {
    const tower = trainUnit('trickle-tower', { ratedFlowM3PerH: 4 })
    const [bed] = firstFlowPlan(bare).branches
    const branch = { ...bed!, kind: 'trickle-tower' as const, levelM: 1.6, valve: 1 }
    const split = work({
      ...bare,
      train: [tower],
      network: { ...firstFlowPlan(bare), branches: [bed!, branch] },
    })
    expect(split.result.train.units[0]!.flowM3PerH).toBeCloseTo(split.result.split!.branchesM3PerH[1]!, 9)
    expect(split.result.train.powerW).toBe(0)
    expect(withTrain(tower).result.train.powerW).toBeGreaterThan(20)
  })
})

describe('wash water and power', () => {
  it('are washed by what they catch, and at least so often', () => {
    const wash = (count: number) =>
      work(
        { ...bare, train: [trainUnit('drum', { line: 'intake', ratedFlowM3PerH: 20 })] },
        { ...pond, fish: [{ species: 'koi', count, lengthM: 0.4 }] },
      ).result.train.units[0]!.washM3PerD
    expect(wash(0)).toBeCloseTo(UNIT_FACTS.drum.washesPerDayLeast * 0.012 * 2 ** 0.6, 12)
    expect(wash(40)).toBeCloseTo(2 * wash(20), 3)
  })
  it('of a train that rests with its drained bed is paid for the months it runs; air all year', () => {
    const year = (winter: FilterDesign['winter'], kind: TrainKind) =>
      work({ ...bare, winter, train: [trainUnit(kind)] }).result.train.energyKWhPerYear
    const months = pond.monthlyTempC.filter((tempC) => tempC >= rules.shutdownWaterC).length
    expect(year('drained', 'uv')).toBeCloseTo((year('runs', 'uv') * months) / 12, 9)
    expect(year('drained', 'aerator')).toBe(year('runs', 'aerator'))
  })
  it('of a week that takes much of a small pond is a review', () => {
    const tub = { ...pond, volumeM3: 0.5 }
    expect(find(work({ ...bare, train: [trainUnit('drum')] }, tub), 'wash-water')!.verdict).toBe('look')
    expect(find(withTrain(trainUnit('drum')), 'wash-water')!.verdict).toBe('pass')
  })
})

describe('checks of the train', () => {
  it('a unit that gets far more than it is made for stops; the next size mends it', () => {
    const small = withTrain(trainUnit('drum', { ratedFlowM3PerH: 5 }))
    expect(find(small, 'train-flow')).toMatchObject({ verdict: 'stop', also: { kind: 'drum', problem: 'over' } })
    expect(find(mended(small, 'train-flow'), 'train-flow')!.verdict).toBe('pass')
    const past = withTrain(trainUnit('drum', { ratedFlowM3PerH: 5, overflow: true }))
    expect(find(past, 'train-flow')!.verdict).toBe('pass')
    expect(past.result.train.units[0]!.pastM3PerH).toBeCloseTo(past.result.flowM3PerH - 5, 9)
  })
  it('a tower that stays half dry is a review; a slender one mends it', () => {
    const wide = withTrain(trainUnit('trickle-tower', { mediaL: 2000, heightM: 0.5, ratedFlowM3PerH: 5 }))
    expect(find(wide, 'train-flow')).toMatchObject({ verdict: 'look', also: { problem: 'dry' } })
    expect(find(mended(wide, 'train-flow'), 'train-flow')!.verdict).toBe('pass')
  })
  it('a lamp before a screen stands the wrong way round; the remedy puts the train in order', () => {
    const wrong = withTrain(
      trainUnit('uv', { line: 'pressure', ratedFlowM3PerH: 60 }),
      trainUnit('drum', { line: 'pressure', ratedFlowM3PerH: 60 }),
    )
    expect(find(wrong, 'train-order')).toMatchObject({
      verdict: 'look',
      also: { first: 'uv', then: 'drum', why: 'lamp-after-screens' },
    })
    expect(mended(wrong, 'train-order').given.design.train.map((u) => u.kind)).toEqual(['drum', 'uv'])
  })
  it('nothing that was put in order is out of it', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray([...TRAIN_KINDS]), (kinds) => {
        expect(misplaced(inOrder(kinds.map((kind) => trainUnit(kind))))).toEqual([])
      }),
    ))
  it('what nobody can reach is a review until it is set out with room', () => {
    const tight = withTrain(trainUnit('uv', { clearanceM: 0.2 }), trainUnit('drum', { clearanceM: null }))
    expect(find(tight, 'train-reach')).toMatchObject({ verdict: 'look', also: { short: 2, unseen: 1, kind: 'uv' } })
    expect(find(mended(tight, 'train-reach'), 'train-reach')!.verdict).toBe('pass')
  })
  it('heat without a heater, a heater without heat and one that gets too little are reviews that mend', () => {
    const cold = work({ ...bare, heatToC: 18 })
    expect(find(cold, 'heater-flow')).toMatchObject({ verdict: 'look', also: { fitted: 'no' } })
    expect(find(mended(cold, 'heater-flow'), 'heater-flow')!.verdict).toBe('pass')
    const idle = withTrain(trainUnit('heater'))
    expect(find(idle, 'heater-flow')).toMatchObject({ also: { heated: 'no' } })
    expect(mended(idle, 'heater-flow').given.design.train).toEqual([])
    expect(find(withTrain(), 'heater-flow')).toBeUndefined()
  })
})

describe('any train', () => {
  const unit = fc
    .record({
      kind: fc.constantFrom(...TRAIN_KINDS),
      flowM3PerH: fc.double({ min: 1, max: 60, noNaN: true }),
      line: fc.nat(2),
      overflow: fc.boolean(),
    })
    .map(({ kind, flowM3PerH, line, overflow }): TrainUnit => {
      const { lines } = UNIT_FACTS[kind]
      return { ...newUnit(kind, { flowM3PerH, pondM3: 20 }), line: lines[line % lines.length]!, overflow }
    })
  it('gives figures, balances its flows and solids, and keeps no more than comes', () =>
    fc.assert(
      fc.property(fc.array(unit, { maxLength: 6 }), (train) => {
        const { result } = work({ ...bare, train })
        const known = [result.worstTanMgL, result.flowM3PerH, result.flushDays, result.train.washM3PerD]
        expect(known.some(Number.isNaN)).toBe(false)
        expect(Number.isFinite(result.worstTanMgL)).toBe(result.duty.status !== 'no-flow')
        for (const one of result.train.units) {
          expect(one.flowM3PerH + one.pastM3PerH).toBeCloseTo(one.lineM3PerH, 9)
          expect(one.keptShare).toBeGreaterThanOrEqual(0)
          expect(one.keptShare).toBeLessThan(1)
          expect(one.removal).toBeLessThan(1)
          expect(one.washM3PerD).toBeGreaterThanOrEqual(0)
        }
        const fed = Math.max(...result.grown.months.map((m) => m.feedKgPerD)) * 250
        const kept = result.train.units.reduce((sum, one) => sum + one.solidsGPerD, 0)
        expect(kept).toBeCloseTo(fed * (1 - result.train.solidsPast), 6)
      }),
      { numRuns: 60 },
    ))
  it('has no stop of its own that its remedies do not mend', () =>
    fc.assert(
      fc.property(fc.array(unit, { minLength: 1, maxLength: 4 }), (train) => {
        let state = work({ ...bare, train })
        const stop = () => (['train-flow', 'intake-level'] as const).find((id) => find(state, id)?.verdict === 'stop')
        for (let i = 0; i < 12 && stop(); i++) state = mended(state, stop()!)
        expect(stop()).toBeUndefined()
      }),
      { numRuns: 60 },
    ))
  it('with more feed never asks for a smaller wash, and a wider mesh never keeps more', () =>
    fc.assert(
      fc.property(fc.double({ min: 20, max: 400, noNaN: true }), (meshUm) => {
        const keeps = (mesh: number) => keptShares([passed(trainUnit('drum', { meshUm: mesh }))], 10)[0]!
        expect(keeps(meshUm * 1.2)).toBeLessThan(keeps(meshUm))
      }),
    ))
  it('stands in a line that its kind can stand in', () => {
    for (const kind of TRAIN_KINDS) {
      const made = newUnit(kind, { flowM3PerH: 10, pondM3: 20 })
      expect(UNIT_FACTS[kind].lines).toContain(made.line)
      expect(isInline(made)).toBe(made.line === 'intake' || made.line === 'pressure')
    }
  })
})
