'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import dynamic from 'next/dynamic'
import Link from 'next/link'
import { usePathname, useRouter, useSearchParams } from 'next/navigation'
import { useState, type ComponentType, type MouseEvent } from 'react'
import { may } from '@/domain/people/roles'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useAsk } from '@/ui/use-ask'
import { SizePart } from './parts/size-part'
import { CheckPanel } from './check-panel'
import { useDesign, type DesignPart } from './use-design'
import type { DesignPageData } from '@/server/design/designs'
import type { KeepState } from './use-stored-draft'

function Opening() {
  const t = useTexts()
  return <p className="sheet soft">{t('design.designEditor.opening')}</p>
}
const part = (load: () => Promise<ComponentType<DesignPart>>) => dynamic(load, { loading: Opening })

/** Only the part that is looked at is loaded: the library, the drawings and the engine are large. */
const PARTS = [
  { key: 'size', name: textId('design.designEditor.kindSize'), View: SizePart },
  {
    key: 'options',
    name: textId('design.designEditor.options'),
    View: part(async () => (await import('./options/options-part')).OptionsPart),
  },
  {
    key: 'bed',
    name: textId('design.designEditor.bed'),
    View: part(async () => (await import('./parts/bed-part')).BedPart),
  },
  {
    key: 'site',
    name: textId('design.designEditor.sitePlan'),
    View: part(async () => (await import('./site/site-part')).SitePart),
  },
  {
    key: 'water',
    name: textId('design.designEditor.pumpPipes'),
    View: part(async () => (await import('./water/water-part')).WaterPart),
  },
  {
    key: 'train',
    name: textId('design.designEditor.train'),
    View: part(async () => (await import('./train/train-part')).TrainPart),
  },
  {
    key: 'network',
    name: textId('design.designEditor.network'),
    View: part(async () => (await import('./parts/network-part')).NetworkPart),
  },
  {
    key: 'planting',
    name: textId('design.designEditor.planting'),
    View: part(async () => (await import('./parts/planting-part')).PlantingPart),
  },
  {
    key: 'outlook',
    name: textId('design.designEditor.clarityOutlook'),
    View: part(async () => (await import('./parts/clarity-part')).ClarityPart),
  },
  {
    key: 'price',
    name: textId('design.designEditor.materialsPrice'),
    View: part(async () => (await import('./parts/price-part')).PricePart),
  },
  {
    key: 'drawings',
    name: textId('design.designEditor.drawings'),
    View: part(async () => (await import('./parts/drawings-part')).DrawingsPart),
  },
  {
    key: 'versions',
    name: textId('design.designEditor.versions'),
    View: part(async () => (await import('./parts/versions-part')).VersionsPart),
  },
] as const

const KEEP_WORDS: Readonly<Record<KeepState, TextId>> = {
  idle: textId('design.designEditor.changesKeptUntilYou'),
  keeping: textId('design.designEditor.keepingYourChanges'),
  kept: textId('design.designEditor.yourChangesKeptHere'),
  offline: textId('design.designEditor.noConnectionYourChanges'),
}

/** The filter design page: one part of the design at a time, its pictures, and the checks that follow every change. */
export function DesignEditor({ data, versionNumber }: { data: DesignPageData; versionNumber: number | null }) {
  const t = useTexts()

  const { pond, houseMethod } = data
  const router = useRouter()
  const pathname = usePathname()
  const search = useSearchParams()
  const { role } = usePerson()
  const design = useDesign(data, versionNumber, may(role, 'designs.write'))
  const { draft, history, shown } = design
  const { problem, ask } = useAsk()
  const [saving, setSaving] = useState(false)
  const wanted = search.get('part')
  const active = PARTS.find((part) => part.key === wanted) ?? PARTS[0]
  const partLink = (key: string) =>
    `${pathname}?${new URLSearchParams({ ...(versionNumber ? { version: String(versionNumber) } : {}), part: key })}`
  // another part needs nothing from the server: only the address changes, so that links and the back button still work
  const openPart = (event: MouseEvent, key: string) => {
    if (event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    window.history.pushState(null, '', partLink(key))
  }
  const overrides = draft.bed.sizingMethod !== houseMethod

  const save = async () => {
    setSaving(true)
    const kept = await ask(send<{ number: number }>('POST', `/api/v1/ponds/${pond.id}/designs`, draft))
    setSaving(false)
    if (!kept) return
    design.clearDraft()
    router.push(`${pathname}?version=${kept.number}&part=${active.key}`)
    router.refresh()
  }
  const given: DesignPart | null = shown
    ? { data, bed: draft.bed, shown, opened: design.opened, errorOf: design.errorOf, set: design.set }
    : null
  const stateText = () => {
    if (history.canUndo) return t(KEEP_WORDS[design.keeping])
    if (design.opened) return t('design.designEditor.openedFromVersion', { number: design.opened.number })
    return t('design.designEditor.bedBegin')
  }
  return (
    <>
      <div className="tab-head">
        <h2>{t('design.designEditor.filterDesign')}</h2>
        <span className="actions">
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/house-rules`}>
            {t('design.designEditor.trainingPond')}
          </Link>
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            disabled={!history.canUndo}
            onClick={history.undo}
            title={t('design.designEditor.ctrlZ')}
          >
            {t('design.designEditor.undo')}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            disabled={!history.canRedo}
            onClick={history.redo}
            title={t('design.designEditor.ctrlShiftZ')}
          >
            {t('design.designEditor.redo')}
          </button>
        </span>
      </div>
      <nav className="design-parts" aria-label={t('design.designEditor.partsDesign')}>
        {PARTS.map(({ key, name }) => (
          <a
            key={key}
            href={partLink(key)}
            onClick={(event) => openPart(event, key)}
            aria-current={key === active.key ? 'page' : undefined}
          >
            {t(name)}
          </a>
        ))}
      </nav>
      <div className="design-grid">
        <div>
          {given ? (
            <active.View {...given} />
          ) : (
            <p className="sheet">{t('design.designEditor.mendMarkedFiguresBed')}</p>
          )}
          <p className="soft small">{t('design.designEditor.appAdvisesLocalCodes')}</p>
        </div>
        <aside aria-label={t('design.designEditor.checksSaving')}>
          <section className="sheet">
            <h2>{t('design.designEditor.keep')}</h2>
            <TextField
              label={t('design.designEditor.versionName')}
              value={draft.name}
              onChange={(e) => design.setDraft({ name: e.target.value }, 'name')}
            />
            {overrides ? (
              <TextField
                label={t('design.designEditor.whyNotHouseMethod', {
                  sizingMethod: t(`design.methodNames.${draft.bed.sizingMethod}`).toLowerCase(),
                })}
                value={draft.overrideReason}
                onChange={(e) => design.setDraft({ overrideReason: e.target.value }, 'reason')}
                error={problem?.fields?.find((f) => f.path === 'overrideReason')?.message}
              />
            ) : null}
            <ProblemNote problem={problem} />
            {design.firstError ? <p className="field-error mb-1">{design.firstError}</p> : null}
            {may(role, 'designs.write') ? (
              <button
                type="button"
                className="btn btn-primary mt-2"
                disabled={saving || !design.worked}
                onClick={() => void save()}
              >
                {t('design.designEditor.saveVersion', { nextNumber: design.nextNumber })}
              </button>
            ) : (
              <p className="soft mt-2 mb-0">{t('design.designEditor.designersOwnersSaveVersions')}</p>
            )}
            {history.canUndo ? (
              <button type="button" className="btn btn-sm btn-outline-secondary mt-2 ms-2" onClick={design.startOver}>
                {t('design.designEditor.dropTheseChanges')}
              </button>
            ) : null}
            <p className="soft small mb-0 mt-1" role="status">
              {stateText()}
            </p>
          </section>
          {given ? <CheckPanel part={given} /> : null}
        </aside>
      </div>
    </>
  )
}
