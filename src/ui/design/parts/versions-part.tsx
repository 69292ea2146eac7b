'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { useMemo, useState } from 'react'
import type { FilterDesign } from '@/core/filter/design-input'
import { FilterDesignInput, isStanding, type Design } from '@/domain/design/design'
import { may } from '@/domain/people/roles'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { BedSection } from '@/ui/drawing/bed-section'
import { usePerson, useShow } from '@/ui/person-context'
import { send } from '@/ui/send'
import { workThrough, type DesignPart, type Worked } from '@/ui/design/use-design'
import { useSave } from '@/ui/use-save'
import { comparison } from '../version-comparison'

const NOW = 'now'

/** Saved versions: which one counts, what was built, and two of them side by side. */
export function VersionsPart(part: DesignPart) {
  const t = useTexts()

  const { data, shown } = part
  const pathname = usePathname()
  const { timeZone } = usePerson()
  return (
    <>
      <section className="sheet">
        <h2>{t('design.versionsPart.versions')}</h2>
        {data.designs.length === 0 ? <p className="soft mb-0">{t('design.versionsPart.noneSavedYet')}</p> : null}
        <ul className="plain-list">
          {data.designs.map((d) => (
            <li key={d.id}>
              <div className="d-flex flex-wrap gap-2 align-items-baseline">
                <Link href={`${pathname}?version=${d.number}&part=versions`}>
                  {d.number}: {d.name}
                </Link>
                <span className={`verdict ${d.state === 'open' ? 'look' : 'pass'}`}>
                  {t(`design.stateNames.${d.state}`)}
                </span>
                <span className="soft small">
                  {d.savedByName}, {t.instant(d.savedAt, timeZone)}
                  {d.stateByName && d.stateAt
                    ? t('design.versionsPart.by', {
                        state: t(`design.stateNames.${d.state}`),
                        stateByName: d.stateByName,
                        stateAt: t.instant(d.stateAt, timeZone),
                      })
                    : ''}
                </span>
                <MoveOn design={d} current={shown.bed} />
              </div>
              {d.overrideReason ? (
                <div className="soft small">
                  {t('design.versionsPart.otherMethodBecause', { overrideReason: d.overrideReason })}
                </div>
              ) : null}
              {d.stops.length > 0 && d.stopReason ? (
                <div className="small">
                  <span className="verdict stop">
                    {t('design.versionsPart.stopsPassed', { count: d.stops.length })}
                  </span>{' '}
                  {d.stopReason}
                </div>
              ) : null}
              {d.asBuilt ? (
                <div className="small">{t('design.versionsPart.builtOtherwise', { asBuilt: d.asBuilt })}</div>
              ) : null}
              {d.builtBed ? <AsBuilt design={d} built={d.builtBed} data={data} /> : null}
            </li>
          ))}
        </ul>
        <p className="soft small">{t('design.versionsPart.openingVersionSavingMakes')}</p>
        <p className="soft small mb-0">{t('design.versionsPart.foundNote')}</p>
      </section>
      {data.designs.length > 0 ? <Compare {...part} /> : null}
    </>
  )
}

/** Two designs of the same figures read alike, in whatever order they were stored. */
const canonical = (bed: FilterDesign): string => JSON.stringify(FilterDesignInput.safeParse(bed).data ?? bed)

function MoveOn({ design, current }: { design: Design; current: FilterDesign }) {
  const t = useTexts()

  const { role } = usePerson()
  const [asBuilt, setAsBuilt] = useState<string | null>(null)
  const [figures, setFigures] = useState(false)
  const differs = canonical(design.bed) !== canonical(current)
  const { problem, errorOf, ask } = useSave()
  const [stopReason, setStopReason] = useState('')
  const stopped = errorOf('stopReason')
  if (!may(role, 'designs.write') || design.state === 'built') return null
  const move = async (body: object) => {
    const answer = await ask(send('POST', `/api/v1/designs/${design.id}/state`, { ...body, stopReason }))
    if (!answer) return
    setAsBuilt(null)
  }
  const nextState = () => {
    if (design.state === 'found')
      return (
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary ms-auto"
          onClick={() => void move({ state: 'open', version: design.version })}
        >
          {t('design.versionsPart.notFoundVersion', { number: design.number })}
        </button>
      )
    if (design.state === 'open')
      return (
        <span className="d-flex flex-wrap gap-2 ms-auto">
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            onClick={() => void move({ state: 'found', version: design.version })}
          >
            {t('design.versionsPart.foundVersion', { number: design.number })}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => void move({ state: 'approved', version: design.version })}
          >
            {t('design.versionsPart.approveVersion', { number: design.number })}
          </button>
        </span>
      )
    if (asBuilt === null)
      return (
        <button type="button" className="btn btn-sm btn-outline-primary ms-auto" onClick={() => setAsBuilt('')}>
          {t('design.versionsPart.markVersionBuilt', { number: design.number })}
        </button>
      )
    return (
      <span className="d-flex flex-wrap gap-2 align-items-end w-100">
        <TextField
          className="flex-grow-1"
          label={t('design.versionsPart.whatBuiltOtherwiseThan')}
          value={asBuilt}
          onChange={(e) => setAsBuilt(e.target.value)}
        />
        <CheckField
          label={t('design.versionsPart.figuresDesignNowWhat')}
          checked={differs && figures}
          disabled={!differs}
          onChange={setFigures}
        />
        <span className="soft small w-100">{t('design.versionsPart.registerNote')}</span>
        <button
          type="button"
          className="btn btn-sm btn-primary"
          onClick={() =>
            void move({
              state: 'built',
              version: design.version,
              asBuilt,
              builtBed: differs && figures ? current : null,
            })
          }
        >
          {t('design.versionsPart.built')}
        </button>
      </span>
    )
  }
  return (
    <>
      {nextState()}
      {stopped || stopReason ? (
        <TextField
          className="w-100"
          label={t('design.versionsPart.whyVersionRightAlthough', { number: design.number })}
          value={stopReason}
          onChange={(e) => setStopReason(e.target.value)}
          error={stopped}
        />
      ) : null}
      <ProblemNote problem={problem} />
    </>
  )
}

/** Drawn against built, only what came out differently. */
function AsBuilt({ design, built, data }: { design: Design; built: FilterDesign; data: DesignPart['data'] }) {
  const t = useTexts()

  const show = useShow()
  const rows = useMemo(() => {
    const [drawn, stands] = [workThrough(data, design.bed), workThrough(data, built)]
    return drawn && stands ? comparison(drawn, stands, data, show, t).filter(([, a, b]) => a !== b) : []
  }, [data, design, built, show, t])
  return (
    <details className="small">
      <summary>
        {t('design.versionsPart.built2', { count: t('design.versionsPart.figuresDiffer', { count: rows.length }) })}
      </summary>
      <ul className="mb-0">
        {rows.map(([what, a, b]) => (
          <li key={what}>{t('design.versionsPart.drawnBuilt', { what, a, b })}</li>
        ))}
      </ul>
    </details>
  )
}

function Compare({ data, shown }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const choices = [
    { value: NOW, label: t('design.versionsPart.draftDesign') },
    ...data.designs.map((d) => ({ value: d.id as string, label: `${d.number}: ${d.name}` })),
  ]
  // what stands is what a draft is weighed against
  const [left, setLeft] = useState((data.designs.find(isStanding) ?? data.designs[0]!).id as string)
  const [right, setRight] = useState(NOW)
  const of = (key: string): Worked | null => {
    const design = data.designs.find((d) => d.id === key)
    if (key === NOW) return shown
    if (design) return workThrough(data, design.bed)
    return null
  }
  // eslint-disable-next-line react-hooks/exhaustive-deps -- `of` reads data and shown, which are listed
  const pair = useMemo(() => [of(left), of(right)] as const, [left, right, data, shown])
  const [a, b] = pair
  const rows = a && b ? comparison(a, b, data, show, t) : []
  return (
    <section className="sheet" aria-label={t('design.versionsPart.twoVersionsSideSide')}>
      <h2>{t('design.versionsPart.twoVersionsSideSide')}</h2>
      <div className="field-grid">
        <ChoiceField
          label={t('design.versionsPart.left')}
          value={left}
          onChange={(e) => setLeft(e.target.value)}
          options={choices}
        />
        <ChoiceField
          label={t('design.versionsPart.right')}
          value={right}
          onChange={(e) => setRight(e.target.value)}
          options={choices}
        />
      </div>
      {a && b ? (
        <>
          <div className="columns two mt-2">
            {[a, b].map((w, i) => (
              <BedSection key={i} bed={w.bed} rootShare={w.result.rootShare} />
            ))}
          </div>
          <table className="table table-sm mb-1">
            <tbody>
              {rows.map(([what, l, r]) => (
                <tr key={what} className={l === r ? '' : 'differs'}>
                  <th scope="row" className="fw-normal">
                    {what}
                  </th>
                  <td>{l}</td>
                  <td>{r}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      ) : (
        <p className="soft mb-0">{t('design.versionsPart.versionWhosePumpNo')}</p>
      )}
    </section>
  )
}
