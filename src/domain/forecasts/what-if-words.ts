import { compareMeasure, type MeasureCompared, type MeasureName, type Measures } from '../../core/ecosystem/measures'

type Show = (value: number, kind: 'concentration' | 'length' | 'number') => string

interface MeasureWords {
  readonly name: MeasureName
  /** What a difference must amount to before it is worth a sentence: a share of the first, and in its own unit. */
  readonly worth: { readonly share: number; readonly least: number }
  readonly better: (a: string, b: string) => string
  readonly worse: (a: string, b: string) => string
  readonly show: (value: number, show: Show, days: number) => string
}

const mgL = (value: number, show: Show) => show(value, 'concentration')
const dayCount = (value: number) => (Math.round(value) === 1 ? 'one day' : `${Math.round(value)} days`)

/** Measures worth words, the most harmful first. */
const MEASURES: readonly MeasureWords[] = [
  {
    name: 'harmDays',
    worth: { share: 0.15, least: 1 },
    better: (a, b) => `fewer days on which the water harms fish: ${b} instead of ${a}`,
    worse: (a, b) => `more days on which the water harms fish: ${b} instead of ${a}`,
    show: (value) => dayCount(value),
  },
  {
    name: 'peakTan',
    worth: { share: 0.15, least: 0.05 },
    better: (a, b) => `ammonia peaks lower: ${b} instead of ${a}`,
    worse: (a, b) => `ammonia peaks higher: ${b} instead of ${a}`,
    show: mgL,
  },
  {
    name: 'peakNitrite',
    worth: { share: 0.15, least: 0.05 },
    better: (a, b) => `nitrite peaks lower: ${b} instead of ${a}`,
    worse: (a, b) => `nitrite peaks higher: ${b} instead of ${a}`,
    show: mgL,
  },
  {
    name: 'leastOxygen',
    worth: { share: 0.08, least: 0.4 },
    better: (a, b) => `more oxygen in the worst night: ${b} instead of ${a}`,
    worse: (a, b) => `less oxygen in the worst night: ${b} instead of ${a}`,
    show: mgL,
  },
  {
    name: 'clearDay',
    worth: { share: 0.15, least: 3 },
    better: (a, b) => `clear sooner: ${b}, instead of ${a}`,
    worse: (a, b) => `clear later: ${b}, instead of ${a}`,
    show: (value, _show, days) => (value >= days ? 'not within this time' : value < 1 ? 'from the start' : `after ${dayCount(value)}`),
  },
  {
    name: 'murkyDays',
    worth: { share: 0.15, least: 2 },
    better: (a, b) => `fewer murky days: ${b} instead of ${a}`,
    worse: (a, b) => `more murky days: ${b} instead of ${a}`,
    show: (value) => (Math.round(value) === 0 ? 'none' : dayCount(value)),
  },
  {
    name: 'leastBacteria',
    worth: { share: 0.2, least: 0.01 },
    better: (a, b) => `more of the bed’s bacteria live on: at worst ${b} of its room is filled, instead of ${a}`,
    worse: (a, b) => `fewer of the bed’s bacteria live on: at worst ${b} of its room is filled, instead of ${a}`,
    show: (value) => `${(value * 100).toPrecision(2)} %`,
  },
]

export interface VerdictLine {
  readonly kind: 'better' | 'worse'
  readonly text: string
  /** "in 9 of 10 runs" and the like. */
  readonly sure: string
}

/** Runs out of a hundred in which a difference must show before it is called one. */
const SURE = 0.75

/** What a second way does better or worse than the first, in words with the figures; empty when the model cannot tell them apart. */
export function verdictLines(first: readonly Measures[], second: readonly Measures[], days: number, show: Show): VerdictLine[] {
  return MEASURES.flatMap(({ name, worth, better, worse, show: words }): VerdictLine[] => {
    const compared = compareMeasure(first, second, name)
    if (!worthSaying(compared, worth)) return []
    const [a, b] = [words(compared.first, show, days), words(compared.second, show, days)]
    if (a === b) return []
    const isBetter = compared.secondBetter > 0.5
    const runs = Math.round(100 * (isBetter ? compared.secondBetter : 1 - compared.secondBetter))
    return [{ kind: isBetter ? 'better' : 'worse', text: isBetter ? better(a, b) : worse(a, b), sure: `so in ${runs} of 100 runs` }]
  })
}

function worthSaying({ first, second, secondBetter }: MeasureCompared, { share, least }: MeasureWords['worth']): boolean {
  const difference = Math.abs(second - first)
  return difference >= least && difference >= share * Math.max(Math.abs(first), Math.abs(second)) && Math.max(secondBetter, 1 - secondBetter) >= SURE
}
