import type { Random } from '../../numeric/random'
import { TRAIN_PRESETS } from './train-presets'

/** What an option is drawn from; shares and steps that any kind of filter understands. */
export interface Genes {
  /** Place in the kinds that may be built. */
  readonly type: number
  /** Area against the suggested bed's, and depth of its treating stone against its. */
  readonly area: number
  readonly stone: number
  /** Place in the pumps that suit, smallest first, and how many stand side by side. */
  readonly pump: number
  readonly pumps: 1 | 2
  /** Pipe sizes over the usual one for the pump. */
  readonly bore: number
  /** Place in the trains that may be put before the bed. */
  readonly train: number
  readonly uv: boolean
}

export const GENE_RANGE = { area: [0.6, 3], stone: [0.7, 1.6], bore: [-1, 2] } as const

/** How many there are to choose from. */
export interface GeneCounts {
  readonly types: number
  readonly pumps: number
}

const within = (random: Random, [low, high]: readonly [number, number]): number =>
  Math.exp(Math.log(low) + random() * Math.log(high / low))
const whole = (random: Random, count: number): number => Math.min(count - 1, Math.floor(random() * count))
const clamp = (value: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, value))
const PARALLEL_SHARE = 0.15
const UV_SHARE = 0.3

export const randomGenes = (random: Random, { types, pumps }: GeneCounts): Genes => ({
  type: whole(random, types),
  area: within(random, GENE_RANGE.area),
  stone: within(random, GENE_RANGE.stone),
  pump: whole(random, pumps),
  pumps: random() < PARALLEL_SHARE ? 2 : 1,
  bore: whole(random, 4) - 1,
  train: whole(random, TRAIN_PRESETS.length),
  uv: random() < UV_SHARE,
})

/** Each gene of one parent or the other. */
export const crossed = (a: Genes, b: Genes, random: Random): Genes => {
  const either = <K extends keyof Genes>(key: K): Genes[K] => (random() < 0.5 ? a : b)[key]
  return {
    type: either('type'),
    area: either('area'),
    stone: either('stone'),
    pump: either('pump'),
    pumps: either('pumps'),
    bore: either('bore'),
    train: either('train'),
    uv: either('uv'),
  }
}

const CHANGE_SHARE = 0.3
const STEP = 0.25

/** A little otherwise: sizes by a step, choices now and then anew. */
export function mutated(genes: Genes, random: Random, counts: GeneCounts): Genes {
  const fresh = randomGenes(random, counts)
  const now = () => random() < CHANGE_SHARE
  const step = (value: number, range: readonly [number, number]) =>
    clamp(value * Math.exp(STEP * (2 * random() - 1)), range)
  const next = (at: number, count: number) => clamp(at + (random() < 0.5 ? -1 : 1), [0, count - 1])
  return {
    type: random() < CHANGE_SHARE / 4 ? fresh.type : genes.type,
    area: now() ? step(genes.area, GENE_RANGE.area) : genes.area,
    stone: now() ? step(genes.stone, GENE_RANGE.stone) : genes.stone,
    pump: now() ? next(genes.pump, counts.pumps) : genes.pump,
    pumps: random() < CHANGE_SHARE / 4 ? fresh.pumps : genes.pumps,
    bore: now() ? clamp(genes.bore + (random() < 0.5 ? -1 : 1), GENE_RANGE.bore) : genes.bore,
    train: random() < CHANGE_SHARE / 2 ? fresh.train : genes.train,
    uv: random() < CHANGE_SHARE / 4 ? !genes.uv : genes.uv,
  }
}
