import { textId, type TextId, type Texts } from '../texts'
import {
  clearlyBetter,
  compareMeasure,
  type MeasureCompared,
  type MeasureName,
  type Measures,
} from '../../core/ecosystem/measures'
import { shareOf } from '../../core/statistics/wilson'

type Show = (value: number, kind: 'concentration' | 'length' | 'number') => string

interface MeasureWords {
  readonly name: MeasureName
  /** What a difference must amount to before it is worth a sentence: a share of the first, and in its own unit. */
  readonly worth: { readonly share: number; readonly least: number }
  readonly better: TextId
  readonly worse: TextId
  readonly show: (value: number, show: Show, days: number, t: Texts) => string
}

const mgL = (value: number, show: Show) => show(value, 'concentration')
const dayCount = (value: number, t: Texts) => t('forecasts.whatIfWords.days', { value: Math.round(value) })

function clearText(value: number, days: number, t: Texts): string {
  if (value >= days) return t('forecasts.whatIfWords.notWithin')
  return value < 1
    ? t('forecasts.whatIfWords.fromStart')
    : t('forecasts.whatIfWords.after', { days: dayCount(value, t) })
}

/** Measures worth words, the most harmful first. */
const MEASURES: readonly MeasureWords[] = [
  {
    name: 'fishLost',
    worth: { share: 0.15, least: 0.03 },
    better: textId('forecasts.whatIfWords.fishLostBetter'),
    worse: textId('forecasts.whatIfWords.fishLostWorse'),
    show: (value, _show, _days, t) =>
      value < 0.005 ? t('forecasts.whatIfWords.none') : `${(value * 100).toPrecision(2)} %`,
  },
  {
    name: 'harmDays',
    worth: { share: 0.15, least: 1 },
    better: textId('forecasts.whatIfWords.harmDaysBetter'),
    worse: textId('forecasts.whatIfWords.harmDaysWorse'),
    show: (value, _show, _days, t) => dayCount(value, t),
  },
  {
    name: 'peakTan',
    worth: { share: 0.15, least: 0.05 },
    better: textId('forecasts.whatIfWords.peakTanBetter'),
    worse: textId('forecasts.whatIfWords.peakTanWorse'),
    show: mgL,
  },
  {
    name: 'peakNitrite',
    worth: { share: 0.15, least: 0.05 },
    better: textId('forecasts.whatIfWords.peakNitriteBetter'),
    worse: textId('forecasts.whatIfWords.peakNitriteWorse'),
    show: mgL,
  },
  {
    name: 'leastOxygen',
    worth: { share: 0.08, least: 0.4 },
    better: textId('forecasts.whatIfWords.leastOxygenBetter'),
    worse: textId('forecasts.whatIfWords.leastOxygenWorse'),
    show: mgL,
  },
  {
    name: 'clearDay',
    worth: { share: 0.15, least: 3 },
    better: textId('forecasts.whatIfWords.clearDayBetter'),
    worse: textId('forecasts.whatIfWords.clearDayWorse'),
    show: (value, _show, days, t) => clearText(value, days, t),
  },
  {
    name: 'murkyDays',
    worth: { share: 0.15, least: 2 },
    better: textId('forecasts.whatIfWords.murkyDaysBetter'),
    worse: textId('forecasts.whatIfWords.murkyDaysWorse'),
    show: (value, _show, _days, t) => (Math.round(value) === 0 ? t('forecasts.whatIfWords.none') : dayCount(value, t)),
  },
  {
    name: 'leastBacteria',
    worth: { share: 0.2, least: 0.01 },
    better: textId('forecasts.whatIfWords.leastBacteriaBetter'),
    worse: textId('forecasts.whatIfWords.leastBacteriaWorse'),
    show: (value) => `${(value * 100).toPrecision(2)} %`,
  },
]

export interface VerdictLine {
  readonly kind: 'better' | 'worse'
  readonly text: string
  /** In how many of the runs, with the share of such years that this leaves open. */
  readonly sure: string
}

/**
 * What a second way does better or worse than the first, in words with the figures; empty when the model cannot tell
 * them apart.
 */
export function verdictLines(
  first: readonly Measures[],
  second: readonly Measures[],
  days: number,
  show: Show,
  t: Texts,
): VerdictLine[] {
  return MEASURES.flatMap(({ name, worth, better, worse, show: words }): VerdictLine[] => {
    // a comparison that was kept before a measure existed says nothing of it
    if (![...first, ...second].every((member) => name in member)) return []
    const compared = compareMeasure(first, second, name)
    if (!worthSaying(compared, worth)) return []
    const [a, b] = [words(compared.first, show, days, t), words(compared.second, show, days, t)]
    if (a === b) return []
    const isBetter = clearlyBetter(compared) === 'second'
    return [
      {
        kind: isBetter ? 'better' : 'worse',
        text: t(isBetter ? better : worse, { first: a, second: b }),
        sure: sureWords(isBetter ? compared.secondBetter : compared.firstBetter, compared, t),
      },
    ]
  })
}

/** In how many runs, in how many there is no difference, and how far so many runs can tell. */
function sureWords(count: number, { of, same }: MeasureCompared, t: Texts): string {
  const { low, high } = shareOf(count, of)
  return [
    t('forecasts.whatIfWords.inRuns', { count, of }),
    ...(same > 0 ? [t('forecasts.whatIfWords.sameIn', { same })] : []),
    t('forecasts.whatIfWords.ofSuchYears', { low: Math.round(100 * low), high: Math.round(100 * high) }),
  ].join('; ')
}

function worthSaying(compared: MeasureCompared, { share, least: min }: MeasureWords['worth']): boolean {
  const { first, second } = compared
  const difference = Math.abs(second - first)
  return (
    difference >= min &&
    difference >= share * Math.max(Math.abs(first), Math.abs(second)) &&
    clearlyBetter(compared) !== null
  )
}
