'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import Dropdown from 'react-bootstrap/Dropdown'
import { siteParts, type SitePartId } from '@/core/drawing/site-sheet'
import { pondGround } from '@/core/site-plan/pond-ground'
import { SITE_OBJECT_KINDS, type SiteObject, type SiteSurvey } from '@/core/site-plan/site-survey'
import { SiteSurveyInput } from '@/domain/survey/site-survey'
import type { SitePlanPageData } from '@/server/survey/site-survey'
import { SITE_OBJECT_NAMES, siteObjectNames } from '@/messages/drawing/sheet-words'
import { saidWords } from '@/messages/said'
import { useSheetWords } from '@/ui/drawing/use-sheet-words'
import { Icon } from '@/ui/kit/icon'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useToast } from '@/ui/kit/toasts'
import { useShow } from '@/ui/person-context'
import { useDraft } from '@/ui/use-draft'
import { useHistory } from '@/ui/use-history'
import { useSave } from '@/ui/use-save'
import { useUndoKeys } from '@/ui/use-undo-keys'
import { newObject } from './new-object'
import { ObjectFields } from './object-fields'
import { SiteCanvas } from './site-canvas'
import { StaleSite } from './stale-site'
import { surveyItems } from './survey-items'
import { SiteFigures } from './site-figures'
import { WindFields } from './wind-fields'

/** What lies around a pond, drawn to scale and moved by hand: the ground that designs are placed on. */
export function SiteSurveyEditor({ data }: { data: SitePlanPageData }) {
  const t = useTexts()
  const show = useShow()
  const tell = useToast()
  const { pond, basin, standing } = data
  const history = useHistory<SiteSurvey>(pond.siteSurvey)
  const { value: survey, change, undo, redo } = history
  const [picked, setPicked] = useState<SitePartId | null>(null)
  const [version, setVersion] = useState(pond.version)
  const saving = useSave('siteSurvey')
  useUndoKeys(undo, redo)
  const draft = useDraft(`slow-reed:site:${pond.id}:${pond.version}`, survey, (kept) => {
    if (JSON.stringify(kept) !== JSON.stringify(pond.siteSurvey)) change(kept)
  })

  const read = useMemo(() => SiteSurveyInput.safeParse(survey), [survey])
  const errors = read.success
    ? {}
    : Object.fromEntries(read.error.issues.map((i) => [i.path.join('.'), saidWords(i.message, t)]))
  const errorOf = (path: string): string | undefined => errors[path] ?? saving.errorOf(path)
  // a figure half typed does not take the drawing away
  const [drawn, setDrawn] = useState(survey)
  if (read.success && drawn !== survey) setDrawn(survey)
  const ground = useMemo(() => pondGround(basin, drawn), [basin, drawn])
  const length = (m: number) =>
    show(m, 'length', { scale: Math.abs(m) < 0.1 ? 'small' : 'usual' }).replaceAll('\u00a0', ' ')
  const words = useSheetWords()
  const setObjects = (objects: readonly SiteObject[], what: string) => {
    change((s) => ({ ...s, objects }), what)
    if (objects.length < survey.objects.length) setPicked(null)
  }
  const names = siteObjectNames(drawn.objects, length, t)
  const items = surveyItems(drawn, names, setObjects)
  const index = picked?.startsWith('object:') ? Number(picked.slice(7)) : null
  const object = index === null ? undefined : survey.objects[index]
  const save = async (onVersion: number) => {
    if (!(await saving.save('PUT', `/api/v1/ponds/${pond.id}/site-survey`, { version: onVersion, siteSurvey: survey })))
      return
    draft.clear()
    tell({ words: t('sitePlan.survey.saved') })
  }
  const theirs = saving.problem?.kind === 'conflict' ? (saving.problem.current as SitePlanPageData['pond']) : null
  return (
    <div className="design-grid">
      <section className="sheet">
        <SiteCanvas
          ground={ground}
          parts={siteParts(ground, standing?.bed ?? null, words)}
          items={items}
          words={words}
          focus="all"
          picked={picked}
          onPick={setPicked}
        />
        <SiteFigures ground={ground} />
      </section>
      <aside className="sheet" aria-label={t('sitePlan.survey.objects')}>
        <div className="d-flex flex-wrap gap-2 mb-2">
          <Dropdown>
            <Dropdown.Toggle variant="outline-primary" size="sm">
              {t('sitePlan.survey.add')}
            </Dropdown.Toggle>
            <Dropdown.Menu>
              {SITE_OBJECT_KINDS.map((kind) => (
                <Dropdown.Item
                  key={kind}
                  as="button"
                  type="button"
                  onClick={() => {
                    setObjects([...survey.objects, newObject(kind, basin.outline, survey)], '')
                    setPicked(`object:${survey.objects.length}`)
                  }}
                >
                  {t(SITE_OBJECT_NAMES[kind])}
                </Dropdown.Item>
              ))}
            </Dropdown.Menu>
          </Dropdown>
          <button type="button" className="btn btn-sm btn-outline-secondary" disabled={!history.canUndo} onClick={undo}>
            {t('sitePlan.survey.undo')}
          </button>
          <button type="button" className="btn btn-sm btn-outline-secondary" disabled={!history.canRedo} onClick={redo}>
            {t('sitePlan.survey.redo')}
          </button>
        </div>
        {survey.objects.length === 0 ? <p className="soft">{t('sitePlan.survey.nothingYet')}</p> : null}
        <ul className="plain-list site-objects">
          {survey.objects.map((o, i) => (
            <li key={i} className={picked === `object:${i}` ? 'picked' : ''}>
              <button type="button" className="btn btn-sm text-start" onClick={() => setPicked(`object:${i}`)}>
                {names[i] ?? t(SITE_OBJECT_NAMES[o.kind])}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                aria-label={t('sitePlan.survey.remove', { name: names[i] ?? t(SITE_OBJECT_NAMES[o.kind]) })}
                onClick={() => setObjects(survey.objects.toSpliced(i, 1), '')}
              >
                <Icon name="trash" />
              </button>
            </li>
          ))}
        </ul>
        {object && index !== null ? (
          <fieldset>
            <legend>{t(SITE_OBJECT_NAMES[object.kind])}</legend>
            <ObjectFields
              object={object}
              onChange={(next, what) => setObjects(survey.objects.with(index, next), `${what}${index}`)}
              errorOf={(path) => errorOf(`objects.${index}.${path}`)}
            />
            {errorOf(`objects.${index}`) || errorOf(`objects.${index}.outline`) ? (
              <p className="field-error">{errorOf(`objects.${index}`) ?? errorOf(`objects.${index}.outline`)}</p>
            ) : null}
          </fieldset>
        ) : null}
        <WindFields
          survey={survey}
          onChange={(part, what) => change((s) => ({ ...s, ...part }), what)}
          errorOf={errorOf}
        />
        {theirs ? (
          <StaleSite
            onKeepMine={() => {
              setVersion(theirs.version)
              void save(theirs.version)
            }}
            onTakeTheirs={() => {
              history.reset(theirs.siteSurvey)
              setVersion(theirs.version)
              saving.touched()
            }}
            mine={survey}
            theirs={theirs.siteSurvey}
          />
        ) : (
          <ProblemNote problem={saving.problem} />
        )}
        <button
          type="button"
          className="btn btn-primary mt-2"
          disabled={!read.success}
          onClick={() => void save(version)}
        >
          {t('sitePlan.survey.save')}
        </button>
        {read.success ? null : <p className="field-error mb-0">{Object.values(errors)[0]}</p>}
      </aside>
    </div>
  )
}
