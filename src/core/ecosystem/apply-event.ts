import type { Ledger } from './ledger'
import type { ParameterValues } from './parameters'
import type { EcoPond } from './pond'
import type { PondEvent } from './events'
import { bedSurfaceM2, maxOxidisers } from './processes/nitrification'
import { RUNOFF } from './runoff'
import type { Running } from './running'
import { COMPOSITION, STATE, turnoverOf, type StateName } from './states'

/**
 * What rinsing takes off the media that are rinsed.
 * @source trade experience; chlorinated tap water kills what the jet leaves
 */
export const RINSE = {
  pond: { bacteria: 0.25, film: 0.5, sludge: 0.6 },
  tap: { bacteria: 0.93, film: 0.95, sludge: 0.8 },
} as const
/** Bacteria that a pressure washer takes off a surface. @source house default */
const WASHED_OFF = 0.9
/** What a dose of flocculant brings down. @source product-neutral, wide range */
const FLOCCULANT = { silt: 0.95, cells: 0.6, seston: 0.7 } as const
/**
 * Colour that activated carbon holds when it is full, g Pt per kg.
 * @source 20–40 mg of humic carbon per gram, at 5 mg Pt per mg
 */
const CARBON_HOLDS_G_PER_KG = 150
const DYING_ALGAE = turnoverOf(COMPOSITION.algae)
/** mg/L CaCO3 per degree. */
const MG_PER_DKH = 17.848

/**
 * One event done to the pond: states change at once and the ledger books what came and went; what runs or is fed is
 * set in `running`.
 */
// eslint-disable-next-line max-lines-per-function -- one case for each kind of event
export function applyEvent(
  event: PondEvent,
  y: Float64Array,
  running: Running,
  pond: EcoPond,
  p: ParameterValues,
  ledger: Ledger,
): void {
  const take = (name: Parameters<Ledger['change']>[1], share: number) =>
    ledger.change(y, name, -share * y[STATE[name]]!, 'takenOut')
  switch (event.kind) {
    case 'feed':
      running.feedFactor = event.factor ?? running.feedFactor
      running.protein = event.protein ?? running.protein
      running.feedFromC = event.feedFromC ?? running.feedFromC
      if (event.lowProteinBelowC !== undefined) running.lowProteinBelowC = event.lowProteinBelowC
      return
    case 'fish':
      running.fishMassKg = Math.max(0, running.fishMassKg + event.massKg)
      return
    case 'pump':
      running.pump = event.running
      return
    case 'uv':
      running.uv = event.on
      return
    case 'aerator':
      running.aeratorGPerD = event.gPerD
      return
    case 'ice-hole':
      running.iceHole = event.open
      return
    case 'net':
      running.leafKeptShare = event.keptShare
      return
    case 'rinse-media': {
      const { bacteria, film, sludge } = RINSE[event.water]
      y[STATE.bedAmmoniaOxidisers]! *= 1 - event.share * bacteria
      y[STATE.bedNitriteOxidisers]! *= 1 - event.share * bacteria
      y[STATE.bedMaturity]! *= 1 - event.share * film
      take('bedSludge', event.share * sludge)
      y[STATE.bedMineral]! *= 1 - event.share * sludge
      return
    }
    case 'flush':
      take('bedSludge', event.share)
      y[STATE.bedMineral]! *= 1 - event.share
      return
    case 'wash-surfaces':
      y[STATE.pondAmmoniaOxidisers]! *= 1 - event.share * WASHED_OFF
      y[STATE.pondNitriteOxidisers]! *= 1 - event.share * WASHED_OFF
      take('filamentous', event.share)
      return
    case 'water-change':
      changeWater(event.fraction, event.dechlorinated, y, running, pond, ledger)
      return
    case 'vacuum':
      vacuum(event.share, y, running, p, ledger)
      take('leaves', event.share)
      y[STATE.leachable]! *= 1 - event.share
      return
    case 'cut':
      take(event.plants, event.share)
      if (event.plants === 'marginals') take('straw', event.share)
      return
    case 'pull-string-algae':
      take('filamentous', event.share)
      return
    case 'raise-kh':
      y[STATE.alkalinity]! += event.byDKH * MG_PER_DKH * running.volumeM3
      // bicarbonate brings its carbon: 12 g C per 50 g CaCO3
      y[STATE.inorganicCarbon]! += event.byDKH * MG_PER_DKH * running.volumeM3 * 0.24
      return
    case 'salt':
      y[STATE.salt]! += event.kg * 1000
      return
    case 'dechlorinate':
      y[STATE.chlorine] = 0
      return
    case 'seed-bacteria': {
      const max = maxOxidisers(p, bedSurfaceM2(p, pond))
      y[STATE.bedAmmoniaOxidisers] = Math.min(max.ammonia, y[STATE.bedAmmoniaOxidisers]! + event.share * max.ammonia)
      y[STATE.bedNitriteOxidisers] = Math.min(max.nitrite, y[STATE.bedNitriteOxidisers]! + event.share * max.nitrite)
      return
    }
    case 'flocculant': {
      const cells = FLOCCULANT.cells * y[STATE.phytoplankton]!
      // clay clots into flocs, which settle in a day or two
      const clay = FLOCCULANT.silt * y[STATE.silt]!
      y[STATE.silt]! -= clay
      y[STATE.dust]! += clay
      sinkCells(y, cells)
      const flocs = FLOCCULANT.seston * y[STATE.seston]!
      y[STATE.seston]! -= flocs
      y[STATE.sediment]! += flocs
      return
    }
    case 'kill-algae':
      killCells(y, event.share)
      return
    case 'carbon':
      y[STATE.carbonRoom]! += event.kg * CARBON_HOLDS_G_PER_KG
      return
    case 'leaves':
      ledger.change(y, 'leaves', event.kg * 1000, 'leaves')
      y[STATE.leachable]! += p.leachPerLeaf * event.kg * 1000
      return
    case 'dust':
      y[STATE.dust]! += event.gPerM3 * running.volumeM3
      return
    case 'runoff':
      for (const [name, mgL] of Object.entries(RUNOFF[event.from]))
        ledger.change(y, name as StateName, mgL * event.volumeM3, 'water')
      // a little carbon dioxide beside the bicarbonate, as in water from the tap
      y[STATE.inorganicCarbon]! += RUNOFF[event.from].alkalinity! * 0.26 * event.volumeM3
      running.levelMm += (event.volumeM3 / pond.areaM2) * 1000
      return
    case 'storm':
      y[STATE.silt]! += event.siltGPerM3 * running.volumeM3
      return
    case 'heatwave':
      return
  }
}

/** Least oxygen that stirred sludge leaves, mg/L: what is still unsatisfied then rots on afloat. */
const OXYGEN_LEFT_MGL = 0.2

/**
 * Sediment that is worked lets go what lies in its pores, some of it gets away afloat, and the reduced matter of old
 * sludge takes oxygen at once: in proportion to what is worked, so that a section does little and a whole floor much.
 * The rest is lifted out.
 */
function vacuum(share: number, y: Float64Array, running: Running, p: ParameterValues, ledger: Ledger): void {
  for (const name of ['sediment', 'muck'] as const) {
    const workedG = share * y[STATE[name]]!
    const rottedG = p.stirPoreWater * workedG
    const afloatG = p.stirEscapes * workedG
    y[STATE[name]]! -= rottedG + afloatG
    y[STATE.seston]! += afloatG
    y[STATE.tan]! += rottedG * COMPOSITION.detritus.nitrogen
    y[STATE.phosphate]! += rottedG * COMPOSITION.detritus.phosphorus
    ledger.change(y, name, rottedG + afloatG - workedG, 'takenOut')
    if (name === 'muck') takeOxygen(p.stirOxygen * afloatG, y, running)
  }
}

function takeOxygen(grams: number, y: Float64Array, { volumeM3 }: Running): void {
  const least = Math.min(y[STATE.oxygen]!, OXYGEN_LEFT_MGL * volumeM3)
  y[STATE.oxygen] = Math.max(least, y[STATE.oxygen]! - grams)
}

function changeWater(
  fraction: number,
  dechlorinated: boolean,
  y: Float64Array,
  running: Running,
  pond: EcoPond,
  ledger: Ledger,
): void {
  ledger.dissolvedLeaves(y, fraction)
  fillWith(fraction * running.volumeM3, dechlorinated ? 0 : pond.source.chlorineMgL, y, pond, ledger)
  running.waterC += fraction * (pond.source.tempC - running.waterC)
}

/** Water from the tap or well, with what it brings. */
export function fillWith(volumeM3: number, chlorineMgL: number, y: Float64Array, pond: EcoPond, ledger: Ledger): void {
  const { source } = pond
  ledger.change(y, 'tan', source.tanMgL * volumeM3, 'water')
  ledger.change(y, 'nitrate', source.nitrateMgL * volumeM3, 'water')
  ledger.change(y, 'phosphate', source.phosphateMgL * volumeM3, 'water')
  y[STATE.alkalinity]! += source.alkalinityMgL * volumeM3
  // tap water as it comes: a little more CO2 than in balance with air
  y[STATE.inorganicCarbon]! += source.alkalinityMgL * 0.26 * volumeM3
  y[STATE.oxygen]! += 9 * volumeM3
  y[STATE.chlorine]! += chlorineMgL * volumeM3
}

/** Cells that sink at once, with what their richer make-up sets free. */
function sinkCells(y: Float64Array, cellsG: number): void {
  y[STATE.phytoplankton]! -= cellsG
  y[STATE.sediment]! += cellsG
  release(y, cellsG)
}

function killCells(y: Float64Array, share: number): void {
  const cells = share * y[STATE.phytoplankton]!
  const tufts = share * y[STATE.filamentous]!
  y[STATE.phytoplankton]! -= cells
  y[STATE.filamentous]! -= tufts
  y[STATE.seston]! += cells
  y[STATE.sediment]! += tufts
  release(y, cells + tufts)
}

function release(y: Float64Array, algaeG: number): void {
  y[STATE.tan]! += algaeG * DYING_ALGAE.nitrogen
  y[STATE.phosphate]! += algaeG * DYING_ALGAE.phosphorus
}
