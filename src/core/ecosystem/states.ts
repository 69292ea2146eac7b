import { recordOf } from '../numeric/record-of'
/**
 * What the simulator keeps of a pond, in grams in the whole system unless named otherwise.
 * Masses, not concentrations: so that what leaves one place arrives in another whatever the water level does.
 */
export const STATE_NAMES = [
  'tan', // g N
  'nitrite', // g N
  'nitrate', // g N
  'phosphate', // g P
  'oxygen', // g O2
  'alkalinity', // g CaCO3
  'inorganicCarbon', // g C
  'phytoplankton', // g dry
  'filamentous', // g dry
  'marginals', // g dry, green
  'straw', // g dry, marginals standing dead
  'floating', // g dry
  'lilies', // g dry
  'submerged', // g dry
  'bedAmmoniaOxidisers', // g COD
  'bedNitriteOxidisers', // g COD
  'pondAmmoniaOxidisers', // g COD
  'pondNitriteOxidisers', // g COD
  'bedMaturity', // 0..1, biofilm that holds fine matter back
  'seston', // g dry, dead organic matter afloat: the BOD
  'sediment', // g dry, fresh organic matter on the floor
  'muck', // g dry, what rots slowly
  'leaves', // g dry
  'bedSludge', // g dry
  'bedMineral', // g dry
  'silt', // g afloat
  'tannin', // g Pt
  'sorbedPhosphorus', // g P
  'salt', // g NaCl
  'chlorine', // g free chlorine
  'bedOxygen', // mg/L in the bed's pores while nothing flows
  'denitrified', // g N gone to the air since the start
  'dust', // g afloat: coarse mineral dust and flocs
  'leachable', // g C that lying leaves will still let go
  'carbonRoom', // g Pt that activated carbon can still take
  'carcasses', // g dry
  'tuftGrazers', // 0..1, snails and their like that have settled in
] as const
export type StateName = (typeof STATE_NAMES)[number]

export const STATE_COUNT = STATE_NAMES.length

/** Place of each state in the vector. */
export const STATE = recordOf(STATE_NAMES, (_, i) => i)

/** States that leave with water and come with it. */
export const DISSOLVED: readonly StateName[] = [
  'tan',
  'nitrite',
  'nitrate',
  'phosphate',
  'oxygen',
  'alkalinity',
  'inorganicCarbon',
  'phytoplankton',
  'seston',
  'silt',
  'dust',
  'tannin',
  'salt',
  'chlorine',
]

export type Composition = { readonly nitrogen: number; readonly phosphorus: number }

/**
 * Nitrogen and phosphorus of dry matter, g/g.
 * @source algae: Redfield 1958; detritus and sludge: usual pond sediment; plants and leaves: usual tissue tests
 * (Kadlec & Wallace; forest litter); whole carps and goldfish, a quarter of them dry
 */
export const COMPOSITION = {
  algae: { nitrogen: 0.063, phosphorus: 0.0087 },
  marginals: { nitrogen: 0.018, phosphorus: 0.0025 },
  floating: { nitrogen: 0.03, phosphorus: 0.004 },
  lilies: { nitrogen: 0.02, phosphorus: 0.0025 },
  submerged: { nitrogen: 0.025, phosphorus: 0.0035 },
  detritus: { nitrogen: 0.04, phosphorus: 0.008 },
  leaves: { nitrogen: 0.01, phosphorus: 0.001 },
  fish: { nitrogen: 0.104, phosphorus: 0.02 },
} as const satisfies Record<string, Composition>

/**
 * Carbon of dry matter and oxygen that its making gives off and its rotting takes up, g/g.
 * @source Redfield ratio with a photosynthetic quotient between ammonium and nitrate
 */
export const CARBON_PER_DRY = 0.36
export const OXYGEN_PER_DRY = 1.07
/**
 * Alkalinity that mineralised nitrogen brings as ammonium, g CaCO3 per g N.
 * @source half of the 7.14 that nitrification takes
 */
export const ALKALINITY_PER_AMMONIUM = 3.57

/**
 * What one gram of a matter becomes as detritus: dry detritus, and the nitrogen, phosphorus and matter set free at
 * once.
 */
export interface Turnover {
  readonly yield: number
  readonly nitrogen: number
  readonly phosphorus: number
}

/**
 * Detritus from a matter of another make-up: as much as its scarcer nutrient allows; the rest is leached and burnt.
 * Conserves N and P.
 */
export function turnoverOf({ nitrogen, phosphorus }: Composition): Turnover {
  const { detritus } = COMPOSITION
  const share = Math.min(1, nitrogen / detritus.nitrogen, phosphorus / detritus.phosphorus)
  return {
    yield: share,
    nitrogen: nitrogen - share * detritus.nitrogen,
    phosphorus: phosphorus - share * detritus.phosphorus,
  }
}

const CONTENT: Partial<Record<StateName, Composition>> = {
  tan: { nitrogen: 1, phosphorus: 0 },
  nitrite: { nitrogen: 1, phosphorus: 0 },
  nitrate: { nitrogen: 1, phosphorus: 0 },
  phosphate: { nitrogen: 0, phosphorus: 1 },
  sorbedPhosphorus: { nitrogen: 0, phosphorus: 1 },
  phytoplankton: COMPOSITION.algae,
  filamentous: COMPOSITION.algae,
  marginals: COMPOSITION.marginals,
  straw: COMPOSITION.marginals,
  floating: COMPOSITION.floating,
  lilies: COMPOSITION.lilies,
  submerged: COMPOSITION.submerged,
  seston: COMPOSITION.detritus,
  sediment: COMPOSITION.detritus,
  muck: COMPOSITION.detritus,
  bedSludge: COMPOSITION.detritus,
  leaves: COMPOSITION.leaves,
  carcasses: COMPOSITION.fish,
}

/** Nitrogen and phosphorus in one gram of each state, by place in the vector. */
export const NITROGEN_IN = Float64Array.from(STATE_NAMES, (name) => CONTENT[name]?.nitrogen ?? 0)
export const PHOSPHORUS_IN = Float64Array.from(STATE_NAMES, (name) => CONTENT[name]?.phosphorus ?? 0)

/** Content of a whole state vector, g. @param content NITROGEN_IN or PHOSPHORUS_IN */
export function totalOf(y: Float64Array, content: Float64Array): number {
  let sum = 0
  for (let i = 0; i < y.length; i++) sum += y[i]! * content[i]!
  return sum
}
