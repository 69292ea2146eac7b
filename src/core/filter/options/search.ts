import { estimate } from '../../pricing/estimate'
import type { Random } from '../../numeric/random'
import { checkDesign } from '../checks'
import { evaluateDesign } from '../design'
import { decodeContext, decoded, type DecodeContext } from './decode'
import { newSharedWork, type SharedWork } from '../shared-work'
import { crossed, mutated, randomGenes, type Genes } from './genes'
import { dominates, thinned, withOption } from './pareto'
import { waterMeasureOf, type FoundOption, type Objectives, type OptionProblem } from './option-problem'

/** Designs that new ones are bred from. */
const POPULATION = 80
const MOST_ON_FRONT = 160
/** Parents are the better of so many drawn by chance. */
const DRAWN = 2
/** Share of new designs that come from the front of all that was found. */
const FROM_FRONT = 0.5

export interface OptionSearch {
  readonly status: 'done' | 'stopped'
  readonly evaluated: number
  /** Of these, designs that no check stops. */
  readonly passed: number
  /** Designs that no other beats in everything. */
  readonly front: readonly FoundOption[]
}

export interface SearchControl {
  readonly random: Random
  /** Designs to work through. */
  readonly evaluations: number
  readonly shouldStop?: () => boolean
  /** Told now and then how far it is. */
  readonly onProgress?: (so: Omit<OptionSearch, 'status'>) => void
}

const PROGRESS_EVERY = 50

interface Individual {
  readonly genes: Genes
  /** Stops and money over the budget: 0 is an option. */
  readonly amiss: number
  readonly objectives: Objectives
}

/**
 * Looks for designs that trade price, water, work and energy against one another in the best way: a genetic search
 * whose every design is worked out whole and held to every check; only those that nothing stops are kept.
 * @returns the front found so far, also when it was stopped; the same for the same random numbers
 * @source after Deb et al. 2002 (constrained domination, crowding distance)
 */
export function searchOptions(problem: OptionProblem, control: SearchControl): OptionSearch {
  const { random, evaluations, shouldStop = () => false, onProgress } = control
  const context = contextOf(problem)
  let front: readonly FoundOption[] = []
  let passed = 0
  let evaluated = 0
  const shared = newSharedWork()
  const genesOf = new Map<FoundOption, Genes>()
  const judge = (genes: Genes): Individual => {
    const { option, amiss } = judged(genes, context, shared)
    evaluated++
    if (amiss === 0) {
      passed++
      const next = withOption(front, option)
      if (next !== front) {
        genesOf.set(option, genes)
        front = next.length > MOST_ON_FRONT * 1.5 ? thinned(next, MOST_ON_FRONT) : next
      }
    }
    if (evaluated % PROGRESS_EVERY === 0) onProgress?.({ evaluated, passed, front })
    return { genes, amiss, objectives: option.objectives }
  }
  const population = seeds(context, random).slice(0, evaluations).map(judge)
  while (evaluated < evaluations) {
    if (shouldStop()) return { status: 'stopped', evaluated, passed, front: thinned(front, MOST_ON_FRONT) }
    const parent = () => bestOf(DRAWN, population, random)
    const leading = front.length > 0 && random() < FROM_FRONT ? genesOf.get(front[at(random, front.length)]!) : null
    const genes = mutated(crossed(leading ?? parent().genes, parent().genes, random), random, context.counts)
    const child = judge(genes)
    // the new one takes the place of a worse one
    const worst = at(random, population.length)
    if (!better(population[worst]!, child)) population[worst] = child
  }
  return { status: 'done', evaluated, passed, front: thinned(front, MOST_ON_FRONT) }
}

function contextOf(problem: OptionProblem): DecodeContext {
  const { pond, own, rules, houseMethod, pumps } = problem
  const { demand } = evaluateDesign({ pond, design: own, rules, houseMethod, pumps })
  return decodeContext(problem, demand.neededM3PerH)
}

/** Each kind as it is suggested, and the rest by chance. */
function seeds({ counts, bases, pumps }: DecodeContext, random: Random): Genes[] {
  const suggested = bases.map((base, type): Genes => ({
    type,
    area: 1,
    stone: 1,
    pump: Math.max(
      0,
      pumps.findIndex((pump) => pump.id === base.pumpId),
    ),
    pumps: 1,
    bore: 0,
    train: 0,
    uv: false,
  }))
  return [...suggested, ...Array.from({ length: POPULATION - suggested.length }, () => randomGenes(random, counts))]
}

/** A design's worth, and what is amiss with it. */
function judged(genes: Genes, context: DecodeContext, shared: SharedWork): { option: FoundOption; amiss: number } {
  const { pond, rules, pumps, houseMethod, book, budgetMinor } = context.problem
  const design = decoded(genes, context)
  const result = evaluateDesign({ pond, design, rules, houseMethod, pumps, shared })
  const stops = checkDesign({ design, pond, result, houseMethod, rules }).filter((c) => c.verdict === 'stop').length
  const { totalMinor } = estimate(design, book, {
    pumps,
    rules,
    pond,
    sitePlan: result.sitePlan,
  })
  const over = budgetMinor !== null && totalMinor > budgetMinor ? totalMinor / budgetMinor : 0
  const measure = waterMeasureOf(pond.use)
  const objectives: Objectives = {
    price: totalMinor,
    water: Number((measure === 'tan' ? result.worstTanMgL : result.worstPhosphorusMgL).toPrecision(2)),
    hours: Number(result.upkeep.hoursPerYear.toPrecision(2)),
    energy: Number(result.upkeep.energyKWhPerYear.toPrecision(2)),
  }
  return { option: { design, objectives }, amiss: stops + over }
}

const at = (random: Random, count: number): number => Math.min(count - 1, Math.floor(random() * count))

/** Less amiss, or as little and better in everything. */
const better = (a: Individual, b: Individual): boolean =>
  a.amiss === b.amiss ? dominates(a.objectives, b.objectives) : a.amiss < b.amiss

function bestOf(count: number, of: readonly Individual[], random: Random): Individual {
  let best = of[at(random, of.length)]!
  for (let i = 1; i < count; i++) {
    const other = of[at(random, of.length)]!
    if (better(other, best)) best = other
  }
  return best
}
