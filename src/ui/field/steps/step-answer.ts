import type { VisitStep } from '@/core/visits/step'
import type { FishLine } from '@/domain/ponds/pond'
import type { StepAnswer } from '@/domain/visits/visit'
import type { ProductBook } from '@/domain/stores/product-book'
import type { AnswerProblem } from '@/domain/visits/step-check'
import type { StepState } from '@/domain/visits/visit-progress'
import { EMPTY_DRAFT, type StepDraft } from './use-step-draft'

/** What the form of a step begins with: what was logged before, else the pond's own fish to be counted. */
export function draftOf(state: StepState, fish: readonly FishLine[]): StepDraft {
  const species = Object.fromEntries(fish.map((line) => [line.species, null]))
  if (state.status !== 'done') return { ...EMPTY_DRAFT, fish: species }
  const { answer } = state.entry
  return {
    readings: Object.fromEntries(Object.entries(answer.readings ?? {}).map(([kind, r]) => [kind, r!.value])),
    below: Object.fromEntries(Object.entries(answer.readings ?? {}).map(([kind, r]) => [kind, r!.belowStep])),
    method: answer.method ?? EMPTY_DRAFT.method,
    figures: answer.figures ?? {},
    choice: answer.choice ?? '',
    fish: { ...species, ...Object.fromEntries((answer.fish ?? []).map((line) => [line.species, line.count])) },
    losses: answer.losses ?? null,
    doses: Object.fromEntries((answer.doses ?? []).map((d) => [d.productKey, d.amount])),
    note: answer.note,
    signedBy: answer.signedBy ?? '',
    overrideReason: state.entry.override?.reason ?? '',
  }
}

/** These tests show steps: nothing seen means less than the first step, not zero. */
const STEPPED: readonly StepDraft['method'][] = ['strip', 'drops']

const given = <Key extends string>(values: Partial<Record<Key, number | null>>) =>
  (Object.entries(values) as [Key, number | null][]).filter(
    (pair): pair is [Key, number] => pair[1] !== null && !Number.isNaN(pair[1]),
  )

/**
 * Fields of a step in which something stands that cannot be read: it is mended before the step is logged, never left
 * out of it.
 */
export function unreadable(step: VisitStep, draft: StepDraft): AnswerProblem | null {
  const within = (
    part: string,
    values: Readonly<Record<string, number | null | undefined>>,
    asked: (key: string) => boolean,
  ) =>
    Object.entries(values).flatMap(([key, value]) =>
      asked(key) && Number.isNaN(value) ? [`answer.${part}.${key}`] : [],
    )
  const paths = [
    ...within(
      'readings',
      draft.readings,
      (kind) => (step.readings as readonly string[] | undefined)?.includes(kind) ?? false,
    ),
    ...within(
      'figures',
      draft.figures,
      (figure) => (step.figures as readonly string[] | undefined)?.includes(figure) ?? false,
    ),
    ...within('fish', draft.fish, () => step.kind === 'count-fish'),
    ...within('losses', { count: draft.losses }, () => step.kind === 'count-fish'),
    ...within('doses', draft.doses, () => step.products !== undefined),
  ]
  if (paths.length === 0) return null
  return { code: 'unreadable', paths }
}

/** The answer to log: only what this step asks for and what was filled in. */
export function toAnswer(step: VisitStep, draft: StepDraft, products: ProductBook = []): StepAnswer {
  const counted = given(draft.fish)
  const noFishNoted = Object.keys(draft.fish).length === 0
  return {
    note: draft.note,
    ...(step.readings
      ? {
          readings: Object.fromEntries(
            given(draft.readings).map(([kind, value]) => [
              kind,
              { value, belowStep: value === 0 && (STEPPED.includes(draft.method) || draft.below[kind] === true) },
            ]),
          ),
          method: draft.method,
        }
      : {}),
    ...(step.figures
      ? { figures: Object.fromEntries(given(draft.figures).filter(([figure]) => step.figures!.includes(figure))) }
      : {}),
    ...(step.choices?.some((c) => c.code === draft.choice) ? { choice: draft.choice } : {}),
    ...(step.kind === 'count-fish' && (counted.length > 0 || noFishNoted)
      ? { fish: counted.map(([species, count]) => ({ species, count })) }
      : {}),
    ...(step.kind === 'count-fish' && draft.losses ? { losses: draft.losses } : {}),
    ...(step.products
      ? { doses: given(draft.doses).flatMap(([key, amount]) => dosesOf(products, step, key, amount)) }
      : {}),
    ...(step.kind === 'sign' && draft.signedBy ? { signedBy: draft.signedBy } : {}),
  }
}

/** Given amounts of products that this step may give. */
function dosesOf(
  products: ProductBook,
  step: VisitStep,
  key: string,
  amount: number,
): NonNullable<StepAnswer['doses']> {
  const product = products.find((p) => p.key === key && step.products?.includes(p.purpose))
  return product && amount > 0 ? [{ productKey: key, name: product.name, amount, unit: product.unit }] : []
}
