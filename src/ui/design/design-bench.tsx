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
import { send, type SendProblem } from '@/ui/send'
import { SizePart } from './parts/size-part'
import { CheckPanel } from './check-panel'
import { useBench, type BenchData, type BenchPart } from './use-bench'
import type { KeepState } from './use-kept-draft'

function Opening() {
  const t = useTexts()
  return <p className="sheet soft">{t('design.designBench.opening')}</p>
}
const part = (load: () => Promise<ComponentType<BenchPart>>) => dynamic(load, { loading: Opening })

/** Only the part that is looked at is loaded: the library, the drawings and the engine are large. */
const PARTS = [
  { key: 'size', name: textId('design.designBench.kindSize'), View: SizePart },
  { key: 'bed', name: textId('design.designBench.bed'), View: part(async () => (await import('./parts/bed-part')).BedPart) },
  { key: 'water', name: textId('design.designBench.pumpPipes'), View: part(async () => (await import('./parts/water-part')).WaterPart) },
  { key: 'beside', name: textId('design.designBench.besideBed'), View: part(async () => (await import('./parts/beside-part')).BesidePart) },
  { key: 'network', name: textId('design.designBench.network'), View: part(async () => (await import('./parts/network-part')).NetworkPart) },
  { key: 'planting', name: textId('design.designBench.planting'), View: part(async () => (await import('./parts/planting-part')).PlantingPart) },
  { key: 'outlook', name: textId('design.designBench.clarityOutlook'), View: part(async () => (await import('./parts/clarity-part')).ClarityPart) },
  { key: 'price', name: textId('design.designBench.materialsPrice'), View: part(async () => (await import('./parts/price-part')).PricePart) },
  { key: 'drawings', name: textId('design.designBench.drawings'), View: part(async () => (await import('./parts/drawings-part')).DrawingsPart) },
  { key: 'versions', name: textId('design.designBench.versions'), View: part(async () => (await import('./parts/versions-part')).VersionsPart) },
] as const

const KEEP_WORDS: Readonly<Record<KeepState, TextId>> = {
  idle: textId('design.designBench.changesKeptUntilYou'),
  keeping: textId('design.designBench.keepingYourChanges'),
  kept: textId('design.designBench.yourChangesKeptHere'),
  offline: textId('design.designBench.noConnectionYourChanges'),
}

/** The filter bench: one part of the design at a time, its pictures, and the checks that follow every change. */
export function DesignBench({ data, versionNumber }: { data: BenchData; versionNumber: number | null }) {
  const t = useTexts()

  const { pond, houseSchool } = data
  const router = useRouter()
  const pathname = usePathname()
  const search = useSearchParams()
  const { role } = usePerson()
  const bench = useBench(data, versionNumber, may(role, 'designs.write'))
  const { draft, history, shown } = bench
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saving, setSaving] = useState(false)
  const wanted = search.get('part')
  const active = PARTS.find((part) => part.key === wanted) ?? PARTS[0]
  const partLink = (key: string) => `${pathname}?${new URLSearchParams({ ...(versionNumber ? { version: String(versionNumber) } : {}), part: key })}`
  // another part needs nothing from the server: only the address changes, so that links and the back button still work
  const openPart = (event: MouseEvent, key: string) => {
    if (event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    window.history.pushState(null, '', partLink(key))
  }
  const overrides = draft.bed.school !== houseSchool

  const save = async () => {
    setSaving(true)
    const outcome = await send<{ number: number }>('POST', `/api/v1/ponds/${pond.id}/designs`, draft)
    setSaving(false)
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    bench.clearDraft()
    router.push(`${pathname}?version=${outcome.value.number}&part=${active.key}`)
    router.refresh()
  }
  const given: BenchPart | null = shown ? { data, bed: draft.bed, shown, errorOf: bench.errorOf, set: bench.set } : null
  return (
    <>
      <div className="page-head">
        <h1>{t('design.designBench.filterBench')}</h1>
        <Link href={`/ponds/${pond.id}`}>
          {pond.siteName}: {pond.name}
        </Link>
        <span className="actions">
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/practice`}>
            {t('design.designBench.practicePond')}
          </Link>
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            disabled={!history.canUndo}
            onClick={history.undo}
            title={t('design.designBench.ctrlZ')}
          >
            {t('design.designBench.undo')}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            disabled={!history.canRedo}
            onClick={history.redo}
            title={t('design.designBench.ctrlShiftZ')}
          >
            {t('design.designBench.redo')}
          </button>
        </span>
      </div>
      <nav className="bench-parts" aria-label={t('design.designBench.partsDesign')}>
        {PARTS.map(({ key, name }) => (
          <a key={key} href={partLink(key)} onClick={(event) => openPart(event, key)} aria-current={key === active.key ? 'page' : undefined}>
            {t(name)}
          </a>
        ))}
      </nav>
      <div className="bench-grid">
        <div>
          {given ? <active.View {...given} /> : <p className="sheet">{t('design.designBench.mendMarkedFiguresBed')}</p>}
          <p className="soft small">{t('design.designBench.appAdvisesLocalCodes')}</p>
        </div>
        <aside aria-label={t('design.designBench.checksSaving')}>
          <section className="sheet">
            <h2>{t('design.designBench.keep')}</h2>
            <TextField label={t('design.designBench.versionName')} value={draft.name} onChange={(e) => bench.setDraft({ name: e.target.value }, 'name')} />
            {overrides ? (
              <TextField
                label={t('design.designBench.whyNotHouseSchool', { school: t(`design.schoolNames.${draft.bed.school}`).toLowerCase() })}
                value={draft.overrideReason}
                onChange={(e) => bench.setDraft({ overrideReason: e.target.value }, 'reason')}
                error={problem?.fields?.find((f) => f.path === 'overrideReason')?.message}
              />
            ) : null}
            <ProblemNote problem={problem} />
            {bench.firstError ? <p className="field-error mb-1">{bench.firstError}</p> : null}
            {may(role, 'designs.write') ? (
              <button type="button" className="btn btn-primary mt-2" disabled={saving || !bench.worked} onClick={() => void save()}>
                {t('design.designBench.saveVersion', { nextNumber: bench.nextNumber })}
              </button>
            ) : (
              <p className="soft mt-2 mb-0">{t('design.designBench.designersOwnersSaveVersions')}</p>
            )}
            {history.canUndo ? (
              <button type="button" className="btn btn-sm btn-outline-secondary mt-2 ms-2" onClick={bench.startOver}>
                {t('design.designBench.dropTheseChanges')}
              </button>
            ) : null}
            <p className="soft small mb-0 mt-1" role="status">
              {history.canUndo
                ? t(KEEP_WORDS[bench.keeping])
                : bench.opened
                  ? t('design.designBench.openedFromVersion', { number: bench.opened.number })
                  : t('design.designBench.bedBegin')}
            </p>
          </section>
          {given ? <CheckPanel part={given} /> : null}
        </aside>
      </div>
    </>
  )
}
