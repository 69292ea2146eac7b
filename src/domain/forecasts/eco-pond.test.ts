import type { DesignPond } from '../../core/filter/design-input'
import { UNTESTED_FILL } from '../../core/water/fill-water'
import { assertEcoPond } from '../../core/ecosystem/pond'
import { evaluateDesign } from '../../core/filter/design'
import { trainUnit } from '../../../tests/fixtures/train-unit'
import type { FilterDesign } from '../../core/filter/design-input'
import { suggestDesign } from '../../core/filter/suggest'
import { DEFAULT_FILTER_RULES } from '../../core/filter/house-rules'
import { PUMP_CATALOGUE } from '../../core/filter/flow/pump-catalogue'
import { ecoPondOf, knownWaterOf, type EcoPondFacts } from './eco-pond'
import { EMPTY_SITE_SURVEY } from '../../core/site-plan/site-survey'
import { PondInput, type Pond } from '../ponds/pond'
import { savedPondFacts } from '../ponds/pond-facts'
import { HouseRules } from '../house-rules/house-rules'

const pond = {
  ...PondInput.parse({
    name: 'Pool',
    use: 'many-fish',
    outline: { kind: 'rectangle', lengthM: 6, widthM: 4 },
    zones: [{ name: 'Pool', floorDepthM: 1, surfaceShare: 1, sideSlope: 0 }],
    rockShare: 0.05,
    meteredFillM3: null,
    fish: [{ species: 'koi', count: 6, lengthM: 0.4 }],
    waterSource: 'mains',
    altitudeM: 20,
    trees: 'some',
    freeboardM: 0.1,
    notes: '',
  }),
  id: 'p',
  siteSurvey: EMPTY_SITE_SURVEY,
} as unknown as Pond
const facts = savedPondFacts(pond)
const designPond: DesignPond = {
  volumeM3: facts.adopted.volumeM3,
  areaM2: facts.basin.areaM2,
  use: pond.use,
  fish: pond.fish,
  guests: pond.guests,
  fillPhosphateMgL: 0.02,
  lining: 'liner',
  volumeSigmaShare: 0.12,
  shoreM: facts.basin.perimeterM,
  altitudeM: 20,
  monthlyTempC: [3, 4, 7, 11, 15, 18, 20, 20, 16, 11, 7, 4],
  leafKgPerYear: 3,
  freeboardM: 0.1,
  ground: null,
}
const design = suggestDesign(designPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE)
const evaluated = (of: FilterDesign) =>
  evaluateDesign({
    pond: designPond,
    design: of,
    rules: DEFAULT_FILTER_RULES,
    houseMethod: 'volume',
    pumps: PUMP_CATALOGUE,
  })
const result = evaluated(design)
const of = (changes: Partial<EcoPondFacts> = {}) =>
  ecoPondOf({
    pond,
    facts,
    latitudeDeg: 45,
    thermal: {},
    design,
    result,
    rules: HouseRules.parse({}),
    filterRules: DEFAULT_FILTER_RULES,
    patches: [],
    gear: [],
    leakMmPerD: 0,
    fill: null,
    ...changes,
  })
const gear = (kind: 'net' | 'aerator' | 'de-icer', state: 'on-pond' | 'stored' = 'on-pond') => ({
  id: kind,
  pondId: pond.id,
  kind,
  name: kind,
  state,
  place: '',
  since: '2027-01-01',
})

describe('a saved pond as the simulator takes it', () => {
  it('is one that can be run', () => expect(() => assertEcoPond(of())).not.toThrow())
  it('brings its fish, filter and water with it', () => {
    const eco = of()
    expect(eco.volumeM3).toBeCloseTo(facts.adopted.volumeM3, 12)
    expect(eco.filter.stoneM3).toBeCloseTo(result.treatment.treatingM3, 12)
    expect(eco.filter.flowM3PerH).toBeCloseTo(result.bedFlowM3PerH, 12)
    expect(eco.fish.massKg).toBeGreaterThan(3)
    expect(eco.source.chlorineMgL).toBeGreaterThan(0)
  })
  it('sees what stands on the pond, and not what is stored', () => {
    expect(of({ gear: [gear('net')] }).leafKeptShare).toBeGreaterThan(of().leafKeptShare)
    expect(of({ gear: [gear('aerator'), gear('de-icer')] })).toMatchObject({ aeratorGPerD: 200, iceHole: true })
    expect(of({ gear: [gear('aerator', 'stored')] }).aeratorGPerD).toBe(0)
  })
  it('gets the air and the light of its filter train, by what each unit does at its flow', () => {
    const train = [trainUnit('aerator', { ratedFlowM3PerH: 4 }), trainUnit('uv', { lampW: 18, ratedFlowM3PerH: 30 })]
    const fitted = evaluated({ ...design, train })
    const eco = of({ design: { ...design, train }, result: fitted })
    expect(eco.aeratorGPerD).toBeCloseTo(fitted.train.oxygenGPerD, 9)
    expect(eco.aeratorGPerD).toBeGreaterThan(100)
    const strong = [train[0]!, { ...train[1]!, lampW: 300 }]
    const stronger = of({ design: { ...design, train: strong }, result: evaluated({ ...design, train: strong }) })
    expect(eco.filter.uvFlowM3PerH).toBeGreaterThan(0)
    expect(eco.filter.uvFlowM3PerH).toBeLessThan(0.6 * stronger.filter.uvFlowM3PerH)
    expect(stronger.filter.uvFlowM3PerH).toBeLessThanOrEqual(fitted.flowM3PerH * 1.01)
  })
  it('is filled with what was tested at the site, and with what is usual where nothing was', () => {
    const usual = of().source
    expect(of({ fill: UNTESTED_FILL }).source).toEqual(usual)
    const fill = { ...UNTESTED_FILL, khDH: 10, nitrateMgL: 11, phosphateMgL: 0.5, chlorineMgL: 2, chloramineMgL: 1 }
    const { source } = of({ fill })
    expect(source).toMatchObject({ nitrateMgL: 11, phosphateMgL: 0.5, chlorineMgL: 2, tempC: usual.tempC })
    expect(source.alkalinityMgL).toBeCloseTo(178.5, 0)
    expect(source.tanMgL).toBeCloseTo(0.1975, 3)
  })
  it('brings what visitors, ducks and bathers leave in the water', () => {
    const guests = { publicFeedGPerD: 80, bathersPerD: 5, ducks: 2, turtles: 0 }
    expect(of({ pond: { ...pond, guests } }).guests).toEqual({
      feedGPerD: 80,
      nitrogenGPerD: 2,
      phosphorusGPerD: 0.5,
      bathingNitrogenGPerD: 5,
      bathingPhosphorusGPerD: 0.5,
      bathingFromC: 16,
    })
  })
  it('takes over what was learnt of its warmth', () =>
    expect(of({ thermal: { shade: 0.6, depthShare: 1.2 } })).toMatchObject({ shade: 0.6, depthShare: 1.2 }))
})

describe('readings', () => {
  const read = (value: number, day: string) => ({ value, takenAt: `${day}T10:00:00Z` })
  it('count as long as their kind keeps', () => {
    const water = knownWaterOf(
      {
        tan: read(0.4, '2027-05-25'),
        dissolvedOxygen: read(8, '2027-05-25'),
        kh: read(5, '2027-04-20'),
        clarityDepth: read(0.4, '2027-05-30'),
      },
      '2027-06-01',
      1.1,
    )
    expect(water.tan).toBe(0.4)
    expect(water.oxygen).toBeUndefined()
    expect(water.alkalinity).toBeCloseTo(89.2, 1)
    expect(water.chlorophyll).toBeGreaterThan(50)
  })
  it('of the time after the run’s first day do not', () =>
    expect(knownWaterOf({ tan: read(1, '2027-06-20') }, '2027-06-01', 1.1).tan).toBeUndefined())
  it('of the floor, seen through clear water, say "at least so clear"', () => {
    const water = knownWaterOf({ clarityDepth: read(1.08, '2027-05-30') }, '2027-06-01', 1.1)
    expect(water.chlorophyll).toBeUndefined()
    expect(water.chlorophyllAtMost).toBeGreaterThan(3)
  })
})
