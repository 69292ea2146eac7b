'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { Check, CheckId } from '@/core/filter/checks'
import type { FilterDesign } from '@/core/filter/design-input'
import { CONFIRMED_ON_SITE, remedied } from '@/core/filter/remedies'
import { checkWords } from '@/messages/design/checks'
import { useShow } from '@/ui/person-context'
import { VERDICT_NAMES } from './verdict-names'
import { changesBetween, type Change } from './what-changed'
import { workThrough, type DesignPart } from './use-design'

const RANK = { stop: 0, look: 1, pass: 2 } as const

/** All checks of the design, what wants doing first; a remedy applies itself and says what it changed. */
export function CheckPanel({ part }: { part: DesignPart }) {
  const t = useTexts()

  const { data, shown, set } = part
  const show = useShow()
  const [applied, setApplied] = useState<{ title: string; changes: readonly Change[] } | null>(null)
  const sorted = [...shown.checks].sort((a, b) => RANK[a.verdict] - RANK[b.verdict])
  const count = (verdict: keyof typeof RANK) => shown.checks.filter((c) => c.verdict === verdict).length

  const remedyOf = (id: CheckId) =>
    remedied(id, {
      pond: data.designPond,
      design: shown.bed,
      rules: data.rules,
      houseMethod: data.houseMethod,
      pumps: data.pumps,
      result: shown.result,
    })
  const apply = (id: CheckId, title: string) => {
    const mended = remedyOf(id)
    const after = mended && workThrough(data, mended)
    if (!mended || !after) return setApplied({ title, changes: [] })
    set(mended)
    setApplied({ title, changes: changesBetween(shown, after, show, t) })
  }
  return (
    <section className="sheet" aria-label={t('design.checkPanel.checks')}>
      <h2>
        {t('design.checkPanel.checks')}{' '}
        <span className="soft small" data-testid="check-count">
          {t('design.checkPanel.stopLookPass', { count: count('stop'), count2: count('look'), count3: count('pass') })}
        </span>
      </h2>
      <div role="status" aria-live="polite">
        {applied ? (
          <div className="change-note">
            <strong>{applied.title}</strong>
            {applied.changes.length === 0 ? (
              <p className="mb-0">{t('design.checkPanel.noSingleChangeMends')}</p>
            ) : (
              <ul className="mb-0 ps-3">
                {applied.changes.map((change) => (
                  <li key={change.what}>
                    {change.what}: {change.before} → {change.after}
                  </li>
                ))}
              </ul>
            )}
          </div>
        ) : null}
      </div>
      <div className="checks">
        {sorted
          .filter((check) => check.verdict !== 'pass')
          .map((check) => (
            <CheckLine key={check.id} check={check} remedyOf={remedyOf} onApply={apply} />
          ))}
        <details className="passes">
          <summary>
            <span className="verdict pass">{t('design.checkPanel.pass')}</span>{' '}
            {t('design.checkPanel.checks2', { count: count('pass') })}
          </summary>
          {sorted
            .filter((check) => check.verdict === 'pass')
            .map((check) => (
              <CheckLine key={check.id} check={check} remedyOf={remedyOf} onApply={apply} />
            ))}
        </details>
      </div>
    </section>
  )
}

interface CheckLineProps {
  readonly check: Check
  readonly remedyOf: (id: CheckId) => FilterDesign | null
  readonly onApply: (id: CheckId, title: string) => void
}

function CheckLine({ check, remedyOf, onApply }: CheckLineProps) {
  const t = useTexts()

  const show = useShow()
  const words = checkWords(check, show, t)
  const onSite = CONFIRMED_ON_SITE.includes(check.id)
  return (
    <details data-check={check.id}>
      <summary>
        <span className={`verdict ${check.verdict}`}>{t(VERDICT_NAMES[check.verdict])}</span>
        <span>
          {words.title}
          <span className="soft d-block small">{words.figure}</span>
        </span>
      </summary>
      <p className="small mb-1 mt-1">{words.reason}</p>
      {check.verdict === 'pass' ? null : (
        <>
          {onSite ? null : <p className="small mb-1">{t('design.checkPanel.mend', { remedy: words.remedy })}</p>}
          <Remedy
            label={onSite ? words.remedy : t('design.checkPanel.apply')}
            possible={() => remedyOf(check.id) !== null}
            onApply={() => onApply(check.id, words.title)}
          />
        </>
      )}
    </details>
  )
}

function Remedy({ label, possible, onApply }: { label: string; possible: () => boolean; onApply: () => void }) {
  const t = useTexts()

  // trying a remedy can mean trying every pump, so it is asked for only when it is pressed
  const [none, setNone] = useState(false)
  if (none) return <p className="small soft mb-1">{t('design.checkPanel.noSingleChangeMends2')}</p>
  return (
    <button
      type="button"
      className="btn btn-sm btn-outline-primary mb-1"
      onClick={() => (possible() ? onApply() : setNone(true))}
    >
      {label}
    </button>
  )
}
