/**
 * One figure of the model: its default, the range it may have from pond to pond (about 5–95 % of a prior), and where
 * both come from.
 */
export interface Parameter {
  readonly value: number
  readonly low: number
  readonly high: number
  readonly unit: string
  readonly source: string
}

const row = (value: number, low: number, high: number, unit: string, source: string): Parameter => ({
  value,
  low,
  high,
  unit,
  source,
})

const IWA = 'range of activated-sludge and biofilm models (Henze et al. 2000; Wiesmann 1994)'
const LAKE = 'range of lake models (Chapra 1997; Bowie et al. 1985)'
const TREATMENT = 'Kadlec & Wallace, Treatment Wetlands, 2nd ed.'
const TRADE = 'house default from trade practice, wide range'

/** Every parameter of the pond simulator. Rates are per day at 20 °C unless named. */
export const ECOSYSTEM_PARAMETERS = {
  // fish and feed
  solidsPerFeed: row(0.25, 0.225, 0.278, 'g dry/g feed', 'Timmons & Ebeling, Recirculating Aquaculture'),
  phosphorusPerFeed: row(0.01, 0.007, 0.013, 'g P/g feed', 'excretion of pond fish on common feeds'),
  phosphorusKeptPerFeed: row(0.003, 0.002, 0.004, 'g P/g feed', 'retention of pond fish on common feeds'),
  fishOxygen: row(2.5, 1.8, 3.5, 'g O2/kg/d', 'routine metabolism of carps, Brett & Groves 1979'),
  fishOxygenTheta: row(1.085, 1.07, 1.1, '-', 'Q10 about 2'),
  appetiteReturns: row(15, 12, 19, 'd', 'house default: appetite comes back over some weeks after the winter fast'),
  strayFeedRoom: row(
    1.4,
    1.2,
    1.6,
    'of the ration',
    'house default: what fish eat beyond the chart before feed is left over',
  ),
  // nitrification
  ammoniaOxidiserGrowth: row(0.75, 0.67, 0.84, '1/d', IWA),
  ammoniaOxidiserYield: row(0.14, 0.12, 0.17, 'g COD/g N', IWA),
  ammoniaHalf: row(0.5, 0.35, 0.7, 'mg N/L', IWA),
  nitriteOxidiserGrowth: row(0.95, 0.83, 1.07, '1/d', IWA),
  nitriteOxidiserYield: row(0.07, 0.05, 0.09, 'g COD/g N', IWA),
  nitriteHalf: row(0.5, 0.3, 0.9, 'mg N/L', IWA),
  nitrifierOxygenHalf: row(0.5, 0.3, 0.8, 'mg O2/L', IWA),
  nitrifierTheta: row(1.09, 1.075, 1.1, '-', IWA),
  nitrifierDecay: row(0.1, 0.08, 0.12, '1/d', IWA),
  nitrifierDecayTheta: row(1.06, 1.045, 1.075, '-', IWA),
  dryDecay: row(10, 7, 14, 'times', 'tenfold decay of a bed run dry, trade experience'),
  anoxicDecay: row(
    4,
    2.6,
    5.6,
    'times',
    'below the dry bed: nitrifiers outlive lack of oxygen better than drought (Geets et al. 2006)',
  ),
  arealNitrification: row(0.4, 0.3, 0.52, 'g N/m²/d', 'trickling and gravel filters, as in the sizing'),
  usableStone: row(0.5, 0.4, 0.6, 'share', 'as in the sizing'),
  pondSurfaceUse: row(0.25, 0.15, 0.4, 'share', 'still walls and stones are reached less well than a bed'),
  // dead matter
  sestonDecay: row(0.15, 0.08, 0.25, '1/d', LAKE),
  sedimentDecay: row(0.05, 0.035, 0.07, '1/d', LAKE),
  muckDecay: row(0.0008, 0.0004, 0.0015, '1/d', LAKE),
  muckShare: row(0.2, 0.12, 0.3, 'share', LAKE),
  leafDecay: row(0.005, 0.003, 0.009, '1/d', 'leaf packs in still water, Webster & Benfield 1986'),
  strawDecay: row(0.004, 0.002, 0.007, '1/d', TREATMENT),
  bedSludgeDecay: row(0.04, 0.028, 0.056, '1/d', TREATMENT),
  decayTheta: row(1.08, 1.06, 1.1, '-', LAKE),
  decayOxygenHalf: row(0.5, 0.3, 1, 'mg O2/L', LAKE),
  leachPerLeaf: row(0.09, 0.065, 0.125, 'g C/g leaf', 'soluble carbon of broadleaf litter, 6–12 % of dry mass'),
  leaching: row(0.16, 0.12, 0.22, '1/d', 'most of it within a month at 10 °C; leaf packs, Webster & Benfield 1986'),
  colourPerCarbon: row(5, 3.5, 7, 'mg Pt/mg C', 'coloured leachate, as of humic lakes'),
  tanninFade: row(0.015, 0.01, 0.02, '1/d', 'bleached by light and eaten by bacteria'),
  carbonTakesPerPass: row(0.3, 0.2, 0.45, 'share per pass', 'activated carbon in the flow; ' + TRADE),
  sestonSettling: row(0.25, 0.12, 0.4, 'm/d', LAKE),
  siltSettling: row(0.032, 0.022, 0.046, 'm/d', 'clay of 0.5–1 µm by Stokes: half of it gone in 10–30 days'),
  siltHeldByBed: row(0.006, 0.003, 0.012, 'of seston', 'a bog does not clear mud: trade experience'),
  dustSettling: row(1, 0.7, 1.5, 'm/d', 'dust of washed gravel and flocs by Stokes: clear in 1–3 days'),
  // phytoplankton
  algaeGrowth: row(1.6, 1.53, 1.67, '1/d', 'Eppley 1972 and ' + LAKE),
  algaeTheta: row(1.066, 1.06, 1.072, '-', 'Eppley 1972'),
  algaeNitrogenHalf: row(0.02, 0.01, 0.03, 'mg N/L', LAKE),
  algaePhosphorusHalf: row(0.004, 0.002, 0.007, 'mg P/L', LAKE),
  algaeLightHalf: row(30, 28, 32.2, 'W/m² PAR', LAKE),
  algaeRespiration: row(0.09, 0.078, 0.104, '1/d', LAKE),
  algaeDeath: row(0.04, 0.03, 0.055, '1/d', LAKE),
  algaeGrazing: row(0.64, 0.59, 0.695, '1/d', 'water fleas in fishless ponds, wide range'),
  grazersHalf: row(0.29, 0.268, 0.315, 'kg fish/m³', 'fish eat the grazers: at so many half of them are left'),
  hungryHunt: row(11, 9.8, 12.3, 'times', 'fish that nobody feeds live on what swims in the water; wide range'),
  algaeStopPh: row(
    9.7,
    9.4,
    10,
    'pH',
    'pH at which the carbon of the water is half out of reach (Goldman et al. 1982)',
  ),
  algaeSettling: row(0.06, 0.05, 0.072, 'm/d', LAKE),
  chlorophyllShare: row(0.012, 0.01, 0.0145, 'g chl/g dry', LAKE),
  // filamentous algae
  filamentGrowth: row(1.0, 0.88, 1.12, '1/d', 'Cladophora models (Auer & Canale 1982), rounded'),
  filamentRespiration: row(0.05, 0.03, 0.08, '1/d', 'the same'),
  filamentSlough: row(0.02, 0.014, 0.03, '1/d', 'the same'),
  tuftGrazing: row(0.31, 0.27, 0.36, '1/d', 'snails and tadpoles on tufts, wide range'),
  tuftGrazersSettle: row(0.01, 0.008, 0.013, '1/d', 'a new pond is settled by grazers within its first year'),
  filamentMost: row(180, 130, 250, 'g dry/m²', 'the same'),
  filamentNitrogenHalf: row(0.06, 0.03, 0.1, 'mg N/L', 'the same'),
  filamentPhosphorusHalf: row(0.012, 0.006, 0.02, 'mg P/L', 'the same'),
  // plants
  marginalGrowth: row(0.07, 0.05, 0.1, '1/d', TREATMENT),
  marginalMost: row(1000, 700, 1500, 'g dry/m²', TREATMENT),
  floatingGrowth: row(0.14, 0.09, 0.19, '1/d', TREATMENT),
  floatingMost: row(300, 180, 420, 'g dry/m²', TREATMENT),
  lilyGrowth: row(0.07, 0.05, 0.1, '1/d', TRADE),
  lilyMost: row(120, 80, 180, 'g dry/m²', TRADE),
  submergedGrowth: row(0.06, 0.035, 0.09, '1/d', LAKE),
  submergedMost: row(250, 150, 400, 'g dry/m²', LAKE),
  plantNitrogenHalf: row(0.08, 0.04, 0.15, 'mg N/L', TREATMENT),
  plantPhosphorusHalf: row(0.01, 0.005, 0.02, 'mg P/L', TREATMENT),
  dieBack: row(0.06, 0.04, 0.09, '1/d', TREATMENT),
  // the bed's hold on what floats past, and the lamp's
  captureRate: row(0.462, 0.438, 0.488, '1/h of empty-bed time', 'fine matter in upflow gravel, wide range'),
  algaeCapture: row(0.75, 0.73, 0.77, 'of seston', 'single cells slip through more easily'),
  captureLoadHalf: row(
    14.8,
    13.7,
    15.9,
    'g dry/m³ stone/d',
    'a bed that is given more solids than its film can hold lets fine matter through: set by the trade’s beds for a load',
  ),
  maturing: row(0.12, 0.095, 0.15, '1/d', 'biofilm on new gravel in 3–6 weeks'),
  uvKill: row(
    0.09,
    0.07,
    0.115,
    'share per pass at rated flow',
    'set by what a clarifier of 10–20 mJ/cm² does to a green pond: clear in 3–10 days',
  ),
  // gas
  stillReaeration: row(0.35, 0.2, 0.55, 'm/d', 'small sheltered ponds, Chapra 1997'),
  windReaeration: row(0.06, 0.03, 0.1, 'm/d per (m/s)²', 'Wanninkhof 1992, sheltered'),
  fallsQuality: row(1, 0.7, 1.4, '-', 'weir reaeration (Gameson 1957; Water Research Centre 1973)'),
  // other sinks
  sedimentDenitrification: row(0.03, 0.015, 0.06, 'm/d', LAKE),
  bedDenitrification: row(0.04, 0.015, 0.08, 'm/d', TREATMENT + ', far less in fast aerobic beds'),
  phosphorusSorption: row(0.02, 0.008, 0.04, 'm/d', LAKE),
  sorptionRoom: row(1.5, 0.7, 3, 'g P/m²', LAKE),
  sorptionEquilibrium: row(0.08, 0.04, 0.15, 'mg P/L', LAKE),
  carcassDecay: row(0.15, 0.08, 0.25, '1/d', 'a carcass is gone in some weeks of warm water'),
  carcassesFound: row(0.8, 0.6, 0.95, 'share', 'what floats is netted off; ' + TRADE),
  keeperGoesOn: row(0.2, 0.1, 0.4, 'share', 'what is thrown in all the same when fish do not eat; ' + TRADE),
  anoxicPhosphorusRelease: row(0.02, 0.008, 0.04, '1/d', LAKE),
  chlorineDecay: row(2.5, 1, 5, '1/d', 'sun and organic matter in open water'),
  chlorineKill: row(30, 12, 60, '1/d per mg/L', 'concentration × time on nitrifying films'),
  // light
  waterExtinction: row(0.4, 0.25, 0.65, '1/m', 'Kirk 1994'),
  chlorophyllExtinction: row(0.022, 0.019, 0.026, 'm²/mg chl', 'Kirk 1994'),
  sestonExtinction: row(0.09, 0.07, 0.115, 'm²/g', LAKE),
  siltExtinction: row(0.08, 0.05, 0.14, 'm²/g', LAKE),
  dustExtinction: row(0.04, 0.025, 0.07, 'm²/g', 'coarser than clay; ' + LAKE),
  colourExtinction: row(0.012, 0.008, 0.018, '1/m per mg Pt/L', 'Kirk 1994'),
  // what fish do beside eating
  fishStir: row(
    0.02,
    0.017,
    0.024,
    '1/d per kg/m³',
    'benthivorous carps at work, Breukelaar et al. 1994, on liner less',
  ),
  foraging: row(5, 3, 8, 'g dry/kg/d', 'what fish without feed find in the sediment, give off again and breathe'),
  // sediment that is worked
  stirEscapes: row(0.15, 0.08, 0.25, 'share', 'what a nozzle or a spade stirs up and does not lift; ' + TRADE),
  stirOxygen: row(
    0.03,
    0.015,
    0.05,
    'g O2/g old sludge stirred up',
    'demand of resuspended anoxic sediment within hours: sulfides and other reduced matter, wide range',
  ),
  stirPoreWater: row(
    0.0075,
    0.003,
    0.015,
    'share rotted already',
    'ammonia and phosphate in pore water, some 0.3 g N per kg dry, wide range',
  ),
} as const satisfies Record<string, Parameter>

export type ParameterName = keyof typeof ECOSYSTEM_PARAMETERS
export type ParameterValues = Readonly<Record<ParameterName, number>>

export const PARAMETER_NAMES = Object.keys(ECOSYSTEM_PARAMETERS) as readonly ParameterName[]

/** The defaults as plain figures, some of them replaced. */
export function parameterValues(changes: Partial<ParameterValues> = {}): ParameterValues {
  const values = PARAMETER_NAMES.map((name) => [name, changes[name] ?? ECOSYSTEM_PARAMETERS[name].value])
  return Object.fromEntries(values) as ParameterValues
}
