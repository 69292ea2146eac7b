import { spawnSync } from 'node:child_process'
import fc from 'fast-check'
import { designJson } from '@/calc/filter-design-schema'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '@/core/filter/house-rules'
import { NO_GUESTS } from '@/core/filter/load/guests'
import { usualShoreM } from '@/core/filter/load/usual-shore'
import { USUAL_MONTHLY_C } from '@/core/filter/load/usual-year'
import { suggestDesign } from '@/core/filter/suggest'
import { openApiDocument } from '@/calc/openapi'
import { calculate, calculationSchema, CALCULATIONS } from '@/calc/registry'

/** Names that outsiders rely on, with the output keys that must be there. */
const NETWORK =
  '[RESERVOIRS]\n P 0\n O 2\n[JUNCTIONS]\n J 0 0\n[PIPES]\n p1 J O 50 100 150 0 Open\n[PUMPS]\n pu P J HEAD c\n[CURVES]\n c 0 6\n c 20 5\n c 40 2\n[OPTIONS]\n Units CMH\n Headloss D-W\n[END]\n'

const ROUTES = 'T\n2 10\n0 0 0 0 0 100 0\n1 10 0 4 0 60 5\n2 20 0 4 0 60 5\n'

const NITRIFICATION = {
  parameters: {
    mu1: 0.75,
    theta1: 1.09,
    K1: 0.6,
    KO1: 0.5,
    mu2: 0.95,
    theta2: 1.07,
    K2: 0.5,
    KO2: 0.6,
    Y1: 0.14,
    Y2: 0.07,
    b1: 0.1,
    b2: 0.1,
    thetab: 1.05,
    D: 0.03,
    Sin1: 0.1,
    Sin3: 1,
    U: 0.15,
    KU: 1,
    DO: 8,
    kLa: 6,
    Osat: 9.1,
    R: 2,
    T_mean: 17,
    T_slope: 0,
    T_amp: 0,
    T_period: 365,
    L0: 0.5,
    L1: 0.9,
    t_step: null,
    S1_0: 0.2,
    S2_0: 0.05,
    S3_0: 1,
    X1_0: 0.01,
    X2_0: 0.004,
    O_0: 8,
    oxygen_mode: 'dynamic',
    events: [{ day: 3, fraction: 0.3 }],
  },
  days: [0, 1, 3],
}
const POND_RUN = {
  pond: { latitude_deg: 45, volume_m3: 20, area_m2: 25, fish: { mass_kg: 8 } },
  filter: { stone_m3: 2, area_m2: 4, flow_m3_h: 8 },
  weather: Array.from({ length: 3 }, () => ({ min_C: 10, max_C: 20, sunshine_h: 7 })),
  startDay: 150,
  days: 3,
  events: [{ kind: 'pump', day: 1, running: false }],
}

const KOI_POND = { volume_m3: 20, area_m2: 25, use: 'koi', fish: [{ species: 'koi', count: 8, length_m: 0.4 }] }
const SUGGESTED = designJson(
  suggestDesign(
    {
      volumeM3: 20,
      areaM2: 25,
      use: 'koi',
      fish: [{ species: 'koi', count: 8, lengthM: 0.4 }],
      guests: NO_GUESTS,
      fillPhosphateMgL: 0.02,
      lining: 'liner',
      volumeSigmaShare: 0.12,
      shoreM: usualShoreM(25),
      altitudeM: 0,
      monthlyTempC: USUAL_MONTHLY_C,
      leafKgPerYear: 0,
      freeboardM: 0.08,
      ground: null,
    },
    'volume',
    DEFAULT_FILTER_RULES,
    PUMP_CATALOGUE,
  ),
)

const CONTRACT: Record<string, { input: unknown; keys: string[] }> = {
  'pond.volume': {
    input: { zones: [{ topArea_m2: 10, midArea_m2: 9, bottomArea_m2: 8, depth_m: 0.5 }], rockShare: 0.1 },
    keys: ['gross_m3', 'water_m3'],
  },
  'pond.outline': {
    input: {
      points: [
        { x_m: 0, y_m: 0 },
        { x_m: 4, y_m: 0 },
        { x_m: 4, y_m: 3 },
      ],
    },
    keys: ['area_m2', 'perimeter_m'],
  },
  'pond.combineVolumes': {
    input: { evidence: [{ method: 'geometry', volume_m3: 10, sigma_m3: 1 }] },
    keys: ['volume_m3', 'sigma_m3', 'conflicts'],
  },
  'fish.load': {
    input: { fish: [{ species: 'koi', count: 3, length_m: 0.4 }], temp_C: 20, protein: 0.35 },
    keys: ['mass_kg', 'feed_g_d', 'tan_g_d'],
  },
  'sim.nitrification': { input: NITRIFICATION, keys: ['tan', 'nitrite', 'nitrate', 'x1', 'x2', 'oxygen'] },
  'sim.run': { input: POND_RUN, keys: ['series', 'budget'] },
  'filter.size': {
    input: {
      pond: { volume_m3: 20, area_m2: 25, use: 'koi', feed_kg_d: 0.2, protein: 0.35, temp_C: 20 },
      bed: { depth_m: 0.45, grain_m: 0.02, porosity: 0.4 },
    },
    keys: ['schools', 'governing'],
  },
  'filter.suggest': {
    input: { pond: KOI_POND, type: 'lined-wetland', lift_m: 0.8, pipe_m: 12 },
    keys: ['design', 'evaluation'],
  },
  'filter.evaluate': {
    input: { pond: KOI_POND, design: SUGGESTED, network: 0.3 },
    keys: [
      'bedVoids_m3',
      'flowNeeded_m3_h',
      'flowDelivered_m3_h',
      'flowBed_m3_h',
      'tanWorst_mg_L',
      'tanTarget_mg_L',
      'orthophosphateWorst_mg_L',
      'head_m',
      'power_W',
      'energy_kWh_a',
      'flush_d',
      'restartDrawdown_mm',
      'load_gN_d',
      'stops',
      'looks',
      'upkeep',
    ],
  },
  'wetland.closedLoop': {
    input: { load_g_d: 5, flow_m3_h: 5, bedVolume_m3: 2, k_d: 8, tanks: 3, background_mg_L: 0.05 },
    keys: ['eta', 'concentration_mg_L'],
  },
  'bed.headLoss': {
    input: { layers: [{ thickness_m: 0.3, grain_m: 0.02, porosity: 0.4 }], velocity_m_h: 4 },
    keys: ['loss_mm', 'perLayer_mm'],
  },
  'bed.drainBack': {
    input: { layers: [{ thickness_m: 0.3, porosity: 0.4 }], area_m2: 5, drainTo_m: 0.1, pondArea_m2: 20 },
    keys: ['volume_m3', 'pondRise_mm'],
  },
  'hydraulics.pipe': {
    input: { flow_m3_h: 10, length_m: 10, diameter_m: 0.06 },
    keys: ['darcy_m', 'hazen_m', 'minor_m', 'velocity_m_s', 'reynolds'],
  },
  'hydraulics.duty': {
    input: {
      curve: [
        { flow_m3_h: 0, head_m: 4 },
        { flow_m3_h: 10, head_m: 0 },
      ],
      static_m: 1,
      resistance: 0.01,
    },
    keys: ['flow_m3_h', 'head_m'],
  },
  'hydraulics.weir': { input: { width_m: 0.6, head_m: 0.02 }, keys: ['flow_m3_h', 'method'] },
  'hydraulics.fallsSheet': { input: { flow_m3_h: 5, width_m: 0.06 }, keys: ['sheet_mm', 'look'] },
  'hydraulics.outlet': { input: { diameter_m: 0.11, head_m: 0.2, length_m: 3, k: 0.5 }, keys: ['flow_m3_h'] },
  'water.verdict': {
    input: { readings: { tan_mg_L: 0.5, ph: 9.3, temp_C: 26 } },
    keys: ['nh3_mg_L', 'verdicts', 'missing'],
  },
  'water.measuredDose': {
    input: { wanted_g: 2070, units: [{ name: 'bag', weight_g: 10_000, smallestShare: 0.5 }] },
    keys: ['given_g', 'unit', 'count'],
  },
  'water.portions': { input: { dose_g: 78, rise_mm: 1200, fill_min: 390 }, keys: ['portions'] },
  'water.waterChangeGate': {
    input: {
      pond: { ph: 6.2, tan_mg_L: 4, kh_dKH: 0.5, temp_C: 20 },
      fill: { ph: 8, kh_dKH: 14, temp_C: 19 },
      fraction: 0.3,
    },
    keys: ['passes', 'reasons', 'nh3After_mg_L'],
  },
  'diagnosis.rank': {
    input: { findings: { 'water-green': true }, readings: { tan_mg_L: 1.5, ph: 8.6, temp_C: 24 } },
    keys: ['causes', 'nextTest'],
  },
  'water.ammonia': { input: { tan_mg_L: 1, ph: 8, temp_C: 20 }, keys: ['fraction', 'nh3_mg_L', 'band'] },
  'water.doSaturation': { input: { temp_C: 20 }, keys: ['do_sat_mg_L'] },
  'hydraulics.network': { input: { inp: NETWORK }, keys: ['links', 'nodes'] },
  'route.vrptw': { input: { text: ROUTES, seconds: 0.2, seed: 1 }, keys: ['routes', 'distance', 'vehicles'] },
  'route.check': { input: { text: ROUTES, routes: [[1, 2]] }, keys: ['feasible', 'distance', 'violations'] },
  'plan.rounds': {
    input: {
      crews: [{ id: 'Otter', depot: 0 }],
      visits: [{ id: 'a', location: 1, hands_min: 90, earliest: '2027-03-01', latest: '2027-03-05' }],
      days: ['2027-03-01', '2027-03-02'],
      travel: {
        minutes: [
          [0, 20],
          [20, 0],
        ],
      },
      iterations: 64,
    },
    keys: ['assignments', 'unplaced', 'cost', 'feasible'],
  },
  'water.khDose': { input: { volume_m3: 10, from_dKH: 3, to_dKH: 5 }, keys: ['sodiumBicarbonate_g'] },
  'water.ghDose': {
    input: { volume_m3: 10, from_dGH: 3, to_dGH: 5 },
    keys: ['calciumChlorideDihydrate_g', 'magnesiumSulfateHeptahydrate_g'],
  },
  'water.saltDose': { input: { volume_m3: 10, from_percent: 0, to_percent: 0.1 }, keys: ['salt_kg'] },
  'water.chlorineDose': { input: { volume_m3: 10, freeChlorine_mg_L: 0.5 }, keys: ['sodiumThiosulfatePentahydrate_g'] },
  'water.changes': { input: { current: 60, source: 5, target: 25, maxFraction: 0.33 }, keys: ['count', 'afterEach'] },
  'season.daylight': { input: { latitude_deg: 45, date: '2027-06-21' }, keys: ['hours'] },
  'season.openWaterEvaporation': {
    input: {
      date: '2027-07-06',
      latitude_deg: 50,
      tmin_C: 12,
      tmax_C: 21,
      rh_percent: 70,
      wind_m_s: 2,
      sunshine_h: 9,
      altitude_m: 100,
    },
    keys: ['mm_d'],
  },
  'season.windows': {
    input: {
      pond: { meanDepth_m: 0.8 },
      station: {
        latitude_deg: 45,
        altitude_m: 10,
        months: Array.from({ length: 12 }, (_, i) => ({
          min_C: 8 - 8 * Math.cos((i * Math.PI) / 6),
          max_C: 15 - 9 * Math.cos((i * Math.PI) / 6),
          sd_C: 2.5,
          humidity_percent: 75,
          wind_m_s: 3,
          sunshine_h: 5,
        })),
      },
      year: 2027,
      weatherYears: 8,
    },
    keys: ['windows'],
  },
}

describe('pipe networks', () => {
  it('in cubic metres a second give the flows of the same network in cubic metres an hour', async () => {
    const flows = async (units: string, scale: number) => {
      const inp = NETWORK.replace('Units CMH', `Units ${units}`)
        .replace(' c 20 5', ` c ${20 * scale} 5`)
        .replace(' c 40 2', ` c ${40 * scale} 2`)
      const outcome = await calculate('hydraulics.network', { inp })
      if (!outcome.ok) throw new Error(outcome.error.message)
      return (outcome.output as { links: { flow_m3_h: number }[] }).links.map((l) => l.flow_m3_h)
    }
    const [hours, seconds] = [await flows('CMH', 1), await flows('CMS', 1 / 3600)]
    seconds.forEach((flow, i) => expect(flow / hours[i]!).toBeCloseTo(1, 3))
  })
})

describe('the calculation contract', () => {
  it('has every promised name and no unlisted one', () =>
    expect(CALCULATIONS.map((c) => c.name).sort()).toEqual(Object.keys(CONTRACT).sort()))
  it.each(Object.entries(CONTRACT))(
    '%s answers with its promised keys and its own schema',
    async (name, { input, keys }) => {
      const outcome = await calculate(name, input)
      if (!outcome.ok) throw new Error(outcome.error.message)
      expect(Object.keys(outcome.output as object)).toEqual(expect.arrayContaining(keys))
      expect(CALCULATIONS.find((c) => c.name === name)!.output.safeParse(outcome.output).success).toBe(true)
    },
  )
  it.each(Object.entries(CONTRACT))('%s refuses an unknown key, and describes itself', async (name, { input }) => {
    expect(await calculate(name, { ...(input as object), surprise: 1 })).toMatchObject({
      ok: false,
      error: { code: 'bad-input' },
    })
    expect(calculationSchema(name)).toMatchObject({ name, input: { type: 'object' } })
  })
  it('a suggested filter evaluates to what was said of it', async () => {
    const suggested = await calculate('filter.suggest', CONTRACT['filter.suggest']!.input)
    if (!suggested.ok) throw new Error(suggested.error.message)
    const { design, evaluation } = suggested.output as { design: object; evaluation: { stops: string[] } }
    expect(evaluation.stops).toEqual([])
    expect(await calculate('filter.evaluate', { pond: KOI_POND, design })).toEqual({ ok: true, output: evaluation })
  })
  it.each([
    ['an unknown pump', { pump: 'X9' }, 'design.pump'],
    ['a bed without a pump', { pump: null }, 'design.pump'],
    ['no stone', { layers: [{ material: 'void-modules', thickness_m: 0.3 }] }, 'design.layers'],
    [
      'an unknown fitting',
      { delivery: { ...SUGGESTED.delivery, fittings: { knee: 1 } } },
      'design.delivery.fittings.knee',
    ],
  ])('a design with %s is refused at its field', async (_, changes, path) => {
    const refused = await calculate('filter.evaluate', { pond: KOI_POND, design: { ...SUGGESTED, ...changes } })
    expect(refused).toMatchObject({ ok: false, error: { code: 'bad-input', path } })
  })
  it('a share past the bed leaves it less flow and the pond more ammonia', async () => {
    const at = async (network: number) => {
      const done = await calculate('filter.evaluate', { pond: KOI_POND, design: SUGGESTED, network })
      if (!done.ok) throw new Error(done.error.message)
      return done.output as { flowBed_m3_h: number; flowDelivered_m3_h: number; tanWorst_mg_L: number }
    }
    const [all, half] = [await at(0), await at(0.5)]
    expect(half.flowBed_m3_h).toBeCloseTo(half.flowDelivered_m3_h / 2, 9)
    expect(half.tanWorst_mg_L).toBeGreaterThan(all.tanWorst_mg_L)
  })
  it('names the field that is wrong', async () => {
    const zones = [{ topArea_m2: 10, midArea_m2: 9, bottomArea_m2: 8, depth_m: -1 }]
    expect(await calculate('pond.volume', { zones })).toMatchObject({ ok: false, error: { path: 'zones.0.depth_m' } })
    expect(
      await calculate('fish.load', {
        fish: [{ species: 'koi', count: 1e9, length_m: 0.4 }],
        temp_C: 20,
        protein: 0.35,
      }),
    ).toMatchObject({
      ok: false,
      error: { path: 'fish.0.count' },
    })
    expect(await calculate('water.khDose', { volume_m3: 1, from_dKH: 5, to_dKH: 3 })).toMatchObject({
      ok: false,
      error: { path: 'to_dKH' },
    })
  })
  it('refuses an outline that crosses itself, naming the place', async () => {
    const points = [
      [0, 0],
      [4, 4],
      [4, 0],
      [0, 4],
    ].map(([x_m, y_m]) => ({ x_m, y_m }))
    const outcome = await calculate('pond.outline', { points })
    expect(!outcome.ok && outcome.error.message).toContain('x 2.00 m, y 2.00 m')
  })
  it('never throws and never answers with NaN, whatever numbers come', async () => {
    const number = fc.oneof(fc.double(), fc.constantFrom(0, -1, Number.NaN, Infinity, 1e308, 1e-308))
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...Object.keys(CONTRACT).filter((n) => n !== 'season.windows')),
        fc.array(number, { minLength: 30, maxLength: 30 }),
        async (name, numbers) => {
          let next = 0
          const scramble = (value: unknown): unknown => {
            if (typeof value === 'number') {
              if (numbers[next % 30]! > 0.5) return numbers[next++ % 30]
              return (next++, value)
            }
            if (Array.isArray(value)) return value.map(scramble)
            if (value && typeof value === 'object')
              return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, scramble(v)]))
            return value
          }
          const outcome = await calculate(name, scramble(CONTRACT[name]!.input))
          if (outcome.ok)
            expect(JSON.stringify(outcome.output, (_, v) => (Number.isNaN(v) ? 'NaN' : v))).not.toContain('NaN')
        },
      ),
      { numRuns: 400 },
    )
  })
  it('is described as OpenAPI', () =>
    expect(Object.keys(openApiDocument().paths as object)).toHaveLength(CALCULATIONS.length))
})

describe('a diagnosis by name', () => {
  const rank = async (input: object) => {
    const answer = await calculate('diagnosis.rank', input)
    expect(answer.ok).toBe(true)
    return (answer as { output: { causes: { code: string; likelihood: number }[]; nextTest: string | null } }).output
  }
  it('takes tests for findings, and what is said before them', async () => {
    const readings = { kh_dKH: 1 }
    expect((await rank({ findings: {}, readings })).causes[0]!.code).toBe('ph-crash')
    expect((await rank({ findings: { 'kh-low': false }, readings })).causes).toEqual([])
  })
  it('takes figures of the file, and suggests nothing for them alone', async () => {
    const facts = { bedOfNeeded: 0.4 }
    expect((await rank({ findings: {}, readings: {}, facts })).causes).toEqual([])
    const green = (facts?: object) =>
      rank({ findings: { 'water-green': true }, readings: {}, ...(facts ? { facts } : {}) })
    const small = (causes: { code: string; likelihood: number }[]) =>
      causes.find(({ code }) => code === 'green-filter-small')!.likelihood
    expect(small((await green(facts)).causes)).toBeGreaterThan(small((await green()).causes))
  })
})

describe('the command line', () => {
  const run = (args: string[], input = '') =>
    spawnSync(process.execPath, ['scripts/calc.mjs', ...args], { input, encoding: 'utf8' })
  it('answers one call', () =>
    expect(JSON.parse(run(['water.doSaturation'], '{"temp_C": 20}').stdout).do_sat_mg_L).toBeCloseTo(9.09, 2))
  it('answers a batch in order, errors among results', () => {
    const { stdout, status } = run(
      ['--batch'],
      '{"id":1,"name":"water.doSaturation","input":{"temp_C":0}}\nrubbish\n{"id":2,"name":"nothing","input":{}}\n',
    )
    const lines = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line))
    expect(lines[0].output.do_sat_mg_L).toBeCloseTo(14.62, 2)
    expect(lines.slice(1).map((l) => l.error.code)).toEqual(['bad-json', 'unknown-calculation'])
    expect(status).toBe(0)
  })
  it('ends with 2 and one JSON error for bad input', () => {
    for (const input of ['{"temp_C": 1e400}', '{"temp_C": NaN}', '{}', 'null']) {
      const { status, stderr } = run(['water.doSaturation'], input)
      expect(status).toBe(2)
      expect(Object.keys(JSON.parse(stderr).error)).toEqual(['code', 'message', 'path'])
    }
  })
  it('lists and describes', () => {
    expect(run(['--list']).stdout.split('\n').filter(Boolean)).toHaveLength(CALCULATIONS.length)
    expect(JSON.parse(run(['--schema', 'pond.volume']).stdout)).toHaveProperty('input.properties.zones')
  })
})

describe('routes and rounds by name', () => {
  it('a route is checked for what it claims', async () => {
    expect(await calculate('route.check', { text: ROUTES, routes: [[2]] })).toMatchObject({
      ok: true,
      output: { feasible: false, distance: 40, violations: ['customer 1 is not visited'] },
    })
    expect(await calculate('route.vrptw', { text: ROUTES, seconds: 0.2, seed: 5 })).toMatchObject({
      ok: true,
      output: { distance: 40, vehicles: 1, unvisited: [] },
    })
  })
  it('what cannot be read names the place', async () => {
    expect(await calculate('route.vrptw', { text: 'T\n2 10\n1 0 0' })).toMatchObject({
      ok: false,
      error: { path: 'text' },
    })
    const rounds = CONTRACT['plan.rounds']!.input as object
    expect(await calculate('plan.rounds', { ...rounds, travel: { minutes: [[0, 1], [1]] } })).toMatchObject({
      ok: false,
      error: { path: 'travel.minutes.1' },
    })
    expect(await calculate('plan.rounds', { ...rounds, wishes: [] })).toMatchObject({
      ok: false,
      error: { code: 'bad-input' },
    })
  })
})
