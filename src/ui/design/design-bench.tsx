'use client'
import dynamic from 'next/dynamic'
import Link from 'next/link'
import { usePathname, useRouter, useSearchParams } from 'next/navigation'
import { useState, type ComponentType, type MouseEvent } from 'react'
import { may } from '@/domain/people/roles'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { SCHOOL_NAMES } from '@/messages/en/schools'
import { usePerson } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import { SizePart } from './parts/size-part'
import { CheckPanel } from './check-panel'
import { useBench, type BenchData, type BenchPart } from './use-bench'
import type { KeepState } from './use-kept-draft'

const part = (load: () => Promise<ComponentType<BenchPart>>) => dynamic(load, { loading: () => <p className="sheet soft">Opening.</p> })

/** Only the part that is looked at is loaded: the library, the drawings and the engine are large. */
const PARTS = [
  { key: 'size', name: 'Kind and size', View: SizePart },
  { key: 'bed', name: 'Bed', View: part(async () => (await import('./parts/bed-part')).BedPart) },
  { key: 'water', name: 'Pump and pipes', View: part(async () => (await import('./parts/water-part')).WaterPart) },
  { key: 'beside', name: 'Beside the bed', View: part(async () => (await import('./parts/beside-part')).BesidePart) },
  { key: 'network', name: 'Network', View: part(async () => (await import('./parts/network-part')).NetworkPart) },
  { key: 'planting', name: 'Planting', View: part(async () => (await import('./parts/planting-part')).PlantingPart) },
  { key: 'outlook', name: 'Clarity outlook', View: part(async () => (await import('./parts/clarity-part')).ClarityPart) },
  { key: 'price', name: 'Materials and price', View: part(async () => (await import('./parts/price-part')).PricePart) },
  { key: 'drawings', name: 'Drawings', View: part(async () => (await import('./parts/drawings-part')).DrawingsPart) },
  { key: 'versions', name: 'Versions', View: part(async () => (await import('./parts/versions-part')).VersionsPart) },
] as const

const KEEP_WORDS: Readonly<Record<KeepState, string>> = {
  idle: 'Changes are kept until you save a version.',
  keeping: 'Keeping your changes.',
  kept: 'Your changes are kept, here and on your other machines, until you save a version.',
  offline: 'No connection: your changes are kept in this browser until you save a version.',
}

/** The filter bench: one part of the design at a time, its pictures, and the checks that follow every change. */
export function DesignBench({ data, versionNumber }: { data: BenchData; versionNumber: number | null }) {
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
        <h1>Filter bench</h1>
        <Link href={`/ponds/${pond.id}`}>
          {pond.siteName}: {pond.name}
        </Link>
        <span className="actions">
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/practice`}>
            Practice at this pond
          </Link>
          <button type="button" className="btn btn-sm btn-outline-secondary" disabled={!history.canUndo} onClick={history.undo} title="Ctrl+Z">
            Undo
          </button>
          <button type="button" className="btn btn-sm btn-outline-secondary" disabled={!history.canRedo} onClick={history.redo} title="Ctrl+Shift+Z">
            Redo
          </button>
        </span>
      </div>
      <nav className="bench-parts" aria-label="Parts of the design">
        {PARTS.map(({ key, name }) => (
          <a key={key} href={partLink(key)} onClick={(event) => openPart(event, key)} aria-current={key === active.key ? 'page' : undefined}>
            {name}
          </a>
        ))}
      </nav>
      <div className="bench-grid">
        <div>
          {given ? <active.View {...given} /> : <p className="sheet">Mend the marked figures, and the bed is drawn here.</p>}
          <p className="soft small">
            The app advises; local codes and licensed practice decide. Walls above 0.6 m, slabs and roofs are for a licensed engineer, wiring for a licensed
            electrician with RCD/GFCI protection, auto-fill for a licensed plumber. Have buried services marked before digging, and guard open water and vaults
            against children.
          </p>
        </div>
        <aside aria-label="Checks and saving">
          <section className="sheet">
            <h2>Keep it</h2>
            <TextField label="Version name" value={draft.name} onChange={(e) => bench.setDraft({ name: e.target.value }, 'name')} />
            {overrides ? (
              <TextField
                label={`Why ${SCHOOL_NAMES[draft.bed.school].toLowerCase()} and not the house school`}
                value={draft.overrideReason}
                onChange={(e) => bench.setDraft({ overrideReason: e.target.value }, 'reason')}
                error={problem?.fields?.find((f) => f.path === 'overrideReason')?.message}
              />
            ) : null}
            <ProblemNote problem={problem} />
            {bench.firstError ? <p className="field-error mb-1">{bench.firstError}</p> : null}
            {may(role, 'designs.write') ? (
              <button type="button" className="btn btn-primary mt-2" disabled={saving || !bench.worked} onClick={() => void save()}>
                Save as version {bench.nextNumber}
              </button>
            ) : (
              <p className="soft mt-2 mb-0">Designers and owners save versions; you can try figures here.</p>
            )}
            {history.canUndo ? (
              <button type="button" className="btn btn-sm btn-outline-secondary mt-2 ms-2" onClick={bench.startOver}>
                Drop these changes
              </button>
            ) : null}
            <p className="soft small mb-0 mt-1" role="status">
              {history.canUndo ? KEEP_WORDS[bench.keeping] : bench.opened ? `Opened from version ${bench.opened.number}.` : 'A bed to begin with.'}
            </p>
          </section>
          {given ? <CheckPanel part={given} /> : null}
        </aside>
      </div>
    </>
  )
}
