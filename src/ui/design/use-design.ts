'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useEffect, useMemo, useRef, useState } from 'react'
import { placedDesign } from '@/core/site-plan/placed-design'
import { checkDesign, type Check } from '@/core/filter/checks'
import { evaluateDesign, type DesignResult } from '@/core/filter/design'
import type { FilterDesign } from '@/core/filter/design-input'
import { DomainError } from '@/core/errors'
import { FilterDesignInput } from '@/domain/design/design'
import { keptDesign } from '@/domain/design/design-file'
import type { DesignPageData } from '@/server/design/designs'
import { useDraft } from '@/ui/use-draft'
import { send } from '@/ui/send'
import { useHistory } from '@/ui/use-history'
import { useUndoKeys } from '@/ui/use-undo-keys'
import { useKeptDraft } from './use-stored-draft'
import { saidWords } from '@/messages/said'

export interface DesignDraft {
  readonly bed: FilterDesign
  readonly name: string
  readonly overrideReason: string
}

export interface Worked {
  readonly bed: FilterDesign
  readonly result: DesignResult
  readonly checks: readonly Check[]
}

const CANNOT_STAND = textId('design.useBench.theseFiguresDoNot')

/** What every part of the design page gets: the design, how to change it, and what follows from it. */
export interface DesignPart {
  readonly data: DesignPageData
  readonly bed: FilterDesign
  readonly shown: Worked
  /** The version that was opened; undefined before any is saved. */
  readonly opened: DesignPageData['designs'][number] | undefined
  readonly errorOf: (path: string) => string | undefined
  /** Changes the design; `what` names the thing so that a drag is one step back. */
  readonly set: (change: Partial<FilterDesign>, what?: string) => void
}

/**
 * Works a design through, or says nothing when it cannot stand as it is: half typed, no such pump, figures that do
 * not go together.
 */
export function workThrough(
  data: Pick<DesignPageData, 'designPond' | 'rules' | 'houseMethod' | 'pumps'>,
  bed: FilterDesign,
): Worked | null {
  const { designPond: pond, rules, houseMethod, pumps } = data
  if (bed.pumpId !== null && !pumps.some((pump) => pump.id === bed.pumpId)) return null
  try {
    const result = evaluateDesign({ pond, design: bed, rules, houseMethod, pumps })
    return { bed, result, checks: checkDesign({ design: bed, pond, result, houseMethod, rules }) }
  } catch (error) {
    // each figure may be in its range and the whole still not buildable; the page must not break on it
    if (error instanceof DomainError) return null
    throw error
  }
}

/** A design whose plan follows its figures; while one is half typed nothing moves. */
const onItsSite = (bed: FilterDesign, { designPond, rules }: Pick<DesignPageData, 'designPond' | 'rules'>) =>
  Number.isFinite(bed.lengthM * bed.widthM * bed.vessels * bed.raisedM * bed.waterOverGravelM)
    ? placedDesign(bed, designPond.ground, rules.tables)
    : bed

/** State of the filter design page: the draft with its history, what is wrong in it, and what follows from it. */
export function useDesign(data: DesignPageData, versionNumber: number | null, mayWrite: boolean) {
  const t = useTexts()

  const opened = data.designs.find((d) => d.number === versionNumber) ?? data.designs[0]
  const nextNumber = (data.designs[0]?.number ?? 0) + 1
  const first: DesignDraft = {
    bed: opened?.bed ?? data.start,
    name: opened ? t('design.useBench.version', { nextNumber }) : t('design.useBench.firstProposal'),
    overrideReason: opened?.overrideReason ?? '',
  }
  const history = useHistory<DesignDraft>(first)
  const { value: draft, change, undo, redo } = history
  const fromVersion = opened?.number ?? null
  // left here on another machine: what this browser kept itself goes before it
  const left = data.left?.fromVersion === fromVersion ? data.left : null
  const kept = useDraft(`slow-reed:bench:${data.pond.id}:${opened?.id ?? 'new'}`, draft, (old) => {
    // opened and left without a change is no draft
    if (JSON.stringify(old) !== JSON.stringify(first)) change({ ...old, bed: keptDesign(old.bed) })
  })
  const leftOnce = useRef(left)
  useEffect(() => {
    const found = leftOnce.current
    if (found && !kept.found()) change({ ...found.draft, bed: keptDesign(found.draft.bed) })
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the page opens
  }, [])
  const read = useMemo(() => FilterDesignInput.safeParse(draft.bed), [draft.bed])
  const errors = read.success
    ? {}
    : Object.fromEntries(read.error.issues.map((issue) => [issue.path.join('.'), saidWords(issue.message, t)]))
  const valid = read.success ? read.data : null
  const worked = useMemo(() => (valid ? workThrough(data, valid) : null), [valid, data])
  // while a figure is half typed, the last good picture stays
  const [lastWorked, setLastWorked] = useState(worked)
  if (worked && worked !== lastWorked) setLastWorked(worked)

  useUndoKeys(undo, redo)

  const keeping = useKeptDraft(
    data.pond.id,
    mayWrite && history.canUndo && worked ? { fromVersion, draft: { ...draft, bed: worked.bed } } : null,
  )

  return {
    opened,
    keeping,
    nextNumber,
    draft,
    history,
    clearDraft: kept.clear,
    /** Back to what was opened; what was kept of the changes is gone. */
    startOver: () => {
      history.reset(first)
      void send('DELETE', `/api/v1/ponds/${data.pond.id}/design-draft`)
    },
    errorOf: (path: string): string | undefined => errors[path],
    firstError: (Object.values(errors)[0] as string | undefined) ?? (worked ? undefined : t(CANNOT_STAND)),
    worked,
    shown: worked ?? lastWorked,
    set: (bed: Partial<FilterDesign>, what = '') =>
      change((d) => ({ ...d, bed: onItsSite({ ...d.bed, ...bed }, data) }), what),
    setDraft: (part: Partial<DesignDraft>, what = '') => change((d) => ({ ...d, ...part }), what),
  }
}
