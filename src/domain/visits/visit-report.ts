import type { FishSpeciesKey } from '../../core/fish/species'
import type { StepFigure } from '../../core/visits/figures'
import type { VisitStep } from '../../core/visits/step'
import type { PlantAction } from '../plants/plants'
import type { FollowUp } from '../water/reading'
import { timeWorked } from '../field/field-log'
import { dayIn } from '../shared/dates'
import { inOrder, unseenAnswers, type FishInTanks, type StepState } from './visit-progress'
import type { Ending, Entry, FindingUse, VisitInContext } from './visit'

/** What was answered, counted or signed at a step. */
export interface ReportRemark {
  readonly choice: string
  readonly fish: readonly { readonly species: FishSpeciesKey; readonly count: number }[]
  readonly losses: number
  readonly signedBy: string
}

interface ReportSection {
  readonly title: string
  /** remark: for everybody; said: what the crew wrote beside it, for the office. */
  readonly done: readonly {
    readonly title: string
    readonly remark: ReportRemark
    readonly said: string
    readonly figures: readonly (readonly [StepFigure, number])[]
  }[]
}

export interface VisitReport {
  readonly visit: VisitInContext
  /** The firm's day on which it was done, whatever day it was planned for. */
  readonly day: string
  readonly sections: readonly ReportSection[]
  readonly leftOut: readonly { readonly title: string; readonly reason: string }[]
  readonly notes: readonly string[]
  readonly fishOut: number | null
  readonly fishBack: number | null
  readonly losses: number
  /** What was given, product by product. */
  readonly doses: readonly { readonly name: string; readonly amount: number; readonly unit: string }[]
  readonly crew: readonly string[]
  readonly overrides: readonly { readonly title: string; readonly reason: string; readonly by: string }[]
  /** Done without signal, while what others had tested meanwhile said stop. */
  readonly disputes: readonly { readonly title: string; readonly by: string }[]
  /** Steps that two people answered, neither knowing of the other: both are kept. */
  readonly twice: readonly { readonly title: string; readonly by: string; readonly said: string }[]
  readonly findings: readonly { readonly text: string; readonly becomes: FindingUse }[]
  /** What was done to which plants, by the keys of their species. */
  readonly plants: readonly { readonly action: PlantAction; readonly species: readonly string[] }[]
  readonly parts: readonly { readonly name: string; readonly warrantyUntil: string | null }[]
  readonly time: readonly { readonly name: string; readonly minutes: number | null }[]
  /** How it ended, where it was not done. */
  readonly ending: Ending | null
  /** What the firm advises after a visit of this kind. */
  readonly advice: string
  readonly followUps: readonly { readonly title: string; readonly from: string; readonly to: string }[]
}

const countOf = (state: StepState | undefined): number | null =>
  state?.status === 'done' && state.entry.answer.fish
    ? state.entry.answer.fish.reduce((sum, line) => sum + line.count, 0)
    : null

/**
 * Writes a visit up from its log: what was done, left out, found, and what comes next.
 * @param fishInTanks of the second day of a cleanout: fish that its first day took out
 */
export function writeReport(
  visit: VisitInContext,
  states: ReadonlyMap<string, StepState>,
  log: readonly Entry[],
  followUps: readonly FollowUp[],
  timeZone: string,
  fishInTanks: FishInTanks | null = null,
): VisitReport {
  const { steps } = visit.job
  const raw = new Set<string>(
    log.flatMap((e) => (e.kind === 'finding' || (e.kind === 'finished' && e.ending !== 'done') ? [e.id] : [])),
  )
  return {
    visit,
    day: realDay(visit, timeZone),
    sections: sectionsOf(steps, states),
    leftOut: steps.flatMap((step) => {
      const state = states.get(step.key)
      return state?.status === 'skipped' ? [{ title: step.title, reason: state.entry.reason }] : []
    }),
    notes: log.flatMap((e) => (e.kind === 'note' ? [e.text] : [])),
    fishOut: countOf(states.get('fish-out')) ?? fishInTanks?.count ?? null,
    fishBack: countOf(states.get('fish-back')),
    losses: [...states.values()].reduce(
      (sum, s) => sum + (s.status === 'done' ? (s.entry.answer.losses ?? 0) : 0),
      fishInTanks?.losses ?? 0,
    ),
    doses: dosesOf(states),
    crew: [...new Set(log.map((e) => e.byName))],
    // a stop that was passed stays in the report, also where its step was corrected afterwards
    overrides: log.flatMap((entry) =>
      entry.kind === 'done' && entry.override
        ? [
            {
              title: steps.find((s) => s.key === entry.stepKey)?.title ?? '',
              reason: entry.override.reason,
              by: entry.byName,
            },
          ]
        : [],
    ),
    disputes: log.flatMap((entry) =>
      'disputed' in entry && entry.disputed && 'stepKey' in entry
        ? [{ title: steps.find((s) => s.key === entry.stepKey)?.title ?? '', by: entry.byName }]
        : [],
    ),
    twice: answeredTwice(steps, log),
    findings: log.flatMap((e) => (e.kind === 'finding' ? [{ text: e.text, becomes: e.becomes }] : [])),
    plants: plantsDone(log),
    parts: log.flatMap((e) => (e.kind === 'part' ? [{ name: e.name, warrantyUntil: e.warrantyUntil }] : [])),
    time: timeWorked(log),
    ending: visit.state === 'given-up' ? visit.ending : null,
    advice: visit.state === 'given-up' ? '' : visit.job.customerNote,
    // what was found is put into words by the office before a customer reads it
    followUps: followUps.filter((f) => !raw.has(f.id)).map((f) => ({ title: f.title, from: f.dueFrom, to: f.dueTo })),
  }
}

/** What was done, under the sections of the work; sections in which nothing was done are left out. */
function sectionsOf(steps: readonly VisitStep[], states: ReadonlyMap<string, StepState>): VisitReport['sections'] {
  const sections = [...new Set(steps.map((s) => s.section))].map((title) => ({
    title,
    done: steps
      .filter((s) => s.section === title)
      .flatMap((step) => {
        const state = states.get(step.key)
        return state?.status === 'done'
          ? [
              {
                title: step.title,
                remark: remark(step, state),
                said: state.entry.answer.note,
                figures: figuresOf(state),
              },
            ]
          : []
      }),
  }))
  return sections.filter((s) => s.done.length > 0)
}

/** Answers that nobody saw because another device had answered too. */
const answeredTwice = (steps: readonly VisitStep[], log: readonly Entry[]): VisitReport['twice'] =>
  steps
    .filter((step) => !step.again)
    .flatMap((step) =>
      unseenAnswers(log, step.key).map((entry) => ({
        title: step.title,
        by: entry.byName,
        said:
          entry.kind === 'done'
            ? [remark(step, { status: 'done', entry }), entry.answer.note].filter(Boolean).join(' · ')
            : entry.reason,
      })),
    )

/** The day on which work ended, or began, or was to be. */
function realDay({ startedAt, finishedAt, day }: VisitInContext, timeZone: string): string {
  const at = finishedAt ?? startedAt
  return at ? dayIn(at, timeZone) : day
}

/** Given doses summed by product, in the order in which they were first given. */
function dosesOf(states: ReadonlyMap<string, StepState>): VisitReport['doses'] {
  const given = inOrder([...states.values()].flatMap((s) => (s.status === 'done' ? [s.entry] : []))).flatMap(
    (entry) => entry.answer.doses ?? [],
  )
  const sums = new Map<string, { name: string; amount: number; unit: string }>()
  for (const { productKey, name, amount, unit } of given)
    if (amount > 0) sums.set(productKey, { name, unit, amount: (sums.get(productKey)?.amount ?? 0) + amount })
  return [...sums.values()]
}

/** By what was done, in the order of the first; a look alone is no work. */
function plantsDone(log: readonly Entry[]): VisitReport['plants'] {
  const done = new Map<PlantAction, Set<string>>()
  for (const e of log)
    if (e.kind === 'plant' && e.action !== 'look') done.set(e.action, (done.get(e.action) ?? new Set()).add(e.species))
  return [...done].map(([action, species]) => ({ action, species: [...species] }))
}

/** What was done in numbers; nothing of what was not. */
const figuresOf = (state: Extract<StepState, { status: 'done' }>): (readonly [StepFigure, number])[] =>
  (Object.entries(state.entry.answer.figures ?? {}) as [StepFigure, number][]).filter(([, value]) => value !== 0)

function remark(step: VisitStep, state: Extract<StepState, { status: 'done' }>): ReportRemark {
  const { answer } = state.entry
  return {
    choice: step.choices?.find((c) => c.code === answer.choice)?.label ?? '',
    fish: answer.fish?.filter((line) => line.count > 0) ?? [],
    losses: answer.losses ?? 0,
    signedBy: answer.signedBy ?? '',
  }
}
