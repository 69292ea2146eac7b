import { FISH_SPECIES } from '../core/fish/species'
import type { StepFigure } from '../core/jobs/figures'
import type { JobStep } from '../core/jobs/step'
import { speciesName, type PlantAction } from './plants'
import type { FollowUp } from './reading'
import { timeWorked } from './field-log'
import { unseenAnswers, type StepState } from './visit-progress'
import type { Entry, FindingUse, VisitInContext } from './visit'

export interface ReportSection {
  readonly title: string
  readonly done: readonly { readonly title: string; readonly remark: string; readonly figures: readonly (readonly [StepFigure, number])[] }[]
}

export interface VisitReport {
  readonly visit: VisitInContext
  readonly sections: readonly ReportSection[]
  readonly leftOut: readonly { readonly title: string; readonly reason: string }[]
  readonly notes: readonly string[]
  readonly fishOut: number | null
  readonly fishBack: number | null
  readonly losses: number
  readonly crew: readonly string[]
  readonly overrides: readonly { readonly title: string; readonly reason: string; readonly by: string }[]
  /** Done without signal, while what others had tested meanwhile said stop. */
  readonly disputes: readonly { readonly title: string; readonly by: string }[]
  /** Steps that two people answered, neither knowing of the other: both are kept. */
  readonly twice: readonly { readonly title: string; readonly by: string; readonly said: string }[]
  readonly findings: readonly { readonly text: string; readonly becomes: FindingUse }[]
  /** What was done to which plants. */
  readonly plants: readonly { readonly action: PlantAction; readonly species: readonly string[] }[]
  readonly parts: readonly { readonly name: string; readonly warrantyUntil: string | null }[]
  readonly time: readonly { readonly name: string; readonly minutes: number | null }[]
  readonly customerNote: string
  readonly followUps: readonly { readonly title: string; readonly from: string; readonly to: string }[]
}

const countOf = (state: StepState | undefined): number | null =>
  state?.status === 'done' && state.entry.answer.fish ? state.entry.answer.fish.reduce((sum, line) => sum + line.count, 0) : null

/** Writes a visit up from its log: what was done, left out, found, and what comes next. */
export function writeReport(visit: VisitInContext, states: ReadonlyMap<string, StepState>, log: readonly Entry[], followUps: readonly FollowUp[]): VisitReport {
  const { steps } = visit.job
  const sections = [...new Set(steps.map((s) => s.section))].map((title) => ({
    title,
    done: steps
      .filter((s) => s.section === title)
      .flatMap((step) => {
        const state = states.get(step.key)
        return state?.status === 'done' ? [{ title: step.title, remark: remark(step, state), figures: figuresOf(state) }] : []
      }),
  }))
  return {
    visit,
    sections: sections.filter((s) => s.done.length > 0),
    leftOut: steps.flatMap((step) => {
      const state = states.get(step.key)
      return state?.status === 'skipped' ? [{ title: step.title, reason: state.entry.reason }] : []
    }),
    notes: log.flatMap((e) => (e.kind === 'note' ? [e.text] : [])),
    fishOut: countOf(states.get('fish-out')),
    fishBack: countOf(states.get('fish-back')),
    losses: [...states.values()].reduce((sum, s) => sum + (s.status === 'done' ? (s.entry.answer.losses ?? 0) : 0), 0),
    crew: [...new Set(log.map((e) => e.byName))],
    // a stop that was passed stays in the report, also where its step was corrected afterwards
    overrides: log.flatMap((entry) =>
      entry.kind === 'done' && entry.override
        ? [{ title: steps.find((s) => s.key === entry.stepKey)?.title ?? '', reason: entry.override.reason, by: entry.byName }]
        : [],
    ),
    disputes: log.flatMap((entry) =>
      'disputed' in entry && entry.disputed && 'stepKey' in entry ? [{ title: steps.find((s) => s.key === entry.stepKey)?.title ?? '', by: entry.byName }] : [],
    ),
    twice: steps
      .filter((step) => !step.again)
      .flatMap((step) =>
        unseenAnswers(log, step.key).map((entry) => ({
          title: step.title,
          by: entry.byName,
          said: entry.kind === 'done' ? remark(step, { status: 'done', entry }) : entry.reason,
        })),
      ),
    findings: log.flatMap((e) => (e.kind === 'finding' ? [{ text: e.text, becomes: e.becomes }] : [])),
    plants: plantsDone(log),
    parts: log.flatMap((e) => (e.kind === 'part' ? [{ name: e.name, warrantyUntil: e.warrantyUntil }] : [])),
    time: timeWorked(log),
    customerNote: visit.state === 'given-up' ? `We could not do the ${visit.job.name.toLowerCase()} this time: ${visit.endingReason}` : visit.job.customerNote,
    followUps: followUps.map((f) => ({ title: f.title, from: f.dueFrom, to: f.dueTo })),
  }
}

/** By what was done, in the order of the first; a look alone is no work. */
function plantsDone(log: readonly Entry[]): VisitReport['plants'] {
  const done = new Map<PlantAction, Set<string>>()
  for (const e of log) if (e.kind === 'plant' && e.action !== 'look') done.set(e.action, (done.get(e.action) ?? new Set()).add(speciesName(e.species)))
  return [...done].map(([action, species]) => ({ action, species: [...species] }))
}

/** What was done in numbers; nothing of what was not. */
const figuresOf = (state: Extract<StepState, { status: 'done' }>): (readonly [StepFigure, number])[] =>
  (Object.entries(state.entry.answer.figures ?? {}) as [StepFigure, number][]).filter(([, value]) => value !== 0)

function remark(step: JobStep, state: Extract<StepState, { status: 'done' }>): string {
  const { answer } = state.entry
  const fish = answer.fish
    ?.filter((line) => line.count > 0)
    .map((line) => `${line.count} ${FISH_SPECIES[line.species].name.toLowerCase()}`)
    .join(', ')
  const choice = step.choices?.find((c) => c.code === answer.choice)?.label
  return [choice, fish, answer.losses ? `${answer.losses} lost` : '', answer.signedBy ? `told ${answer.signedBy}` : '', answer.note].filter(Boolean).join(' · ')
}
