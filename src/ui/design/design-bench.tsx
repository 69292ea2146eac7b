'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { checkDesign } from '@/core/filter/checks'
import { workOutDesign, type DesignResult } from '@/core/filter/design'
import type { BedDesign } from '@/core/filter/design-input'
import { BED_MATERIALS } from '@/core/filter/layers'
import { formatNumber } from '@/core/units/format'
import { BedDesignInput } from '@/domain/design'
import { may } from '@/domain/roles'
import type { designBench } from '@/server/use-cases/designs'
import { ProblemNote } from '@/ui/components/problem-note'
import { TextField } from '@/ui/components/text-field'
import { Why } from '@/ui/components/why'
import { BedSection } from '@/ui/drawing/bed-section'
import { powerWords } from '@/ui/messages/checks'
import { SCHOOL_NAMES } from '@/ui/messages/schools'
import { usePerson, useShow } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import { useDraft } from '@/ui/ponds/use-draft'
import { BedFields } from './bed-fields'
import { CheckList } from './check-list'
import { PumpChart } from './pump-chart'
import { SchoolTable } from './school-table'

type BenchData = Awaited<ReturnType<typeof designBench>>

interface Draft {
  readonly bed: BedDesign
  readonly name: string
  readonly overrideReason: string
}

/** The filter bench: figures left; four schools, section, checks and pump right, all following every keystroke. */
export function DesignBench({ data, versionNumber }: { data: BenchData; versionNumber: number | null }) {
  const { pond, designs } = data
  const router = useRouter()
  const { role } = usePerson()
  const opened = designs.find((d) => d.number === versionNumber) ?? designs[0]
  const nextNumber = (designs[0]?.number ?? 0) + 1
  const [draft, setDraft] = useState<Draft>({
    bed: opened?.bed ?? data.start,
    name: opened ? `Version ${nextNumber}` : 'First proposal',
    overrideReason: opened?.overrideReason ?? '',
  })
  const kept = useDraft(`slow-reed:design:${pond.id}:${opened?.id ?? 'new'}`, draft, setDraft)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saving, setSaving] = useState(false)
  const read = useMemo(() => BedDesignInput.safeParse(draft.bed), [draft.bed])
  const errors = read.success ? {} : Object.fromEntries(read.error.issues.map((issue) => [issue.path.join('.'), issue.message]))
  const valid = read.success ? read.data : null
  const { designPond, practice, houseSchool } = data
  const worked = useMemo(() => {
    if (!valid) return null
    const result = workOutDesign({ pond: designPond, design: valid, practice, houseSchool })
    return { bed: valid, result, checks: checkDesign(valid, designPond, result, houseSchool) }
  }, [valid, designPond, practice, houseSchool])
  // while a figure is half typed, the last good picture stays
  const [lastWorked, setLastWorked] = useState(worked)
  if (worked && worked !== lastWorked) setLastWorked(worked)
  const shown = worked ?? lastWorked
  const overrides = draft.bed.school !== houseSchool

  const save = async () => {
    setSaving(true)
    const outcome = await send<{ number: number }>('POST', `/api/v1/ponds/${pond.id}/designs`, {
      name: draft.name,
      bed: draft.bed,
      overrideReason: draft.overrideReason,
    })
    setSaving(false)
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    kept.clear()
    router.push(`/ponds/${pond.id}/design?version=${outcome.value.number}`)
    router.refresh()
  }
  return (
    <>
      <div className="page-head">
        <h1>Filter bench</h1>
        <Link href={`/ponds/${pond.id}`}>
          {pond.siteName}: {pond.name}
        </Link>
        <span className="actions">
          {designs.map((d) => (
            <Link
              key={d.id}
              className={`btn btn-sm btn-outline-secondary ${d.id === opened?.id ? 'active' : ''}`}
              href={`/ponds/${pond.id}/design?version=${d.number}`}
            >
              Version {d.number}
            </Link>
          ))}
        </span>
      </div>
      <div className="columns bench">
        <div className="sheet">
          <BedFields bed={draft.bed} onChange={(bed) => setDraft({ ...draft, bed })} errorOf={(path) => errors[path]} />
          <fieldset>
            <legend>Keep it</legend>
            {overrides ? (
              <TextField
                label={`Why ${SCHOOL_NAMES[draft.bed.school].toLowerCase()} and not the house school`}
                value={draft.overrideReason}
                onChange={(e) => setDraft({ ...draft, overrideReason: e.target.value })}
                error={problem?.fields?.find((f) => f.path === 'overrideReason')?.message}
              />
            ) : null}
            <TextField label="Version name" value={draft.name} onChange={(e) => setDraft({ ...draft, name: e.target.value })} />
            <ProblemNote problem={problem} />
            {may(role, 'designs.write') ? (
              <button type="button" className="btn btn-primary mt-2" disabled={saving || !worked} onClick={() => void save()}>
                Save as version {nextNumber}
              </button>
            ) : (
              <p className="soft mt-2 mb-0">Designers and owners save versions; you can try figures here.</p>
            )}
          </fieldset>
        </div>
        {shown ? (
          <div>
            <section className="sheet" aria-label="Sizing">
              <h2>Four schools, side by side</h2>
              <SchoolTable
                result={shown.result}
                chosen={draft.bed.school}
                house={houseSchool}
                onChoose={(school) => setDraft({ ...draft, bed: { ...draft.bed, school } })}
              />
              <SizingWhy data={data} result={shown.result} />
            </section>
            <section className="sheet">
              <h2>
                Bed section, <Area m2={shown.result.areaM2} />
              </h2>
              <BedSection
                lengthM={shown.bed.lengthM}
                layers={shown.bed.layers}
                manifoldDiameterM={shown.bed.manifold.diameterM}
                airBreakM={shown.bed.airBreakM}
              />
              <Stone result={shown.result} />
            </section>
            <div className="columns two">
              <section className="sheet">
                <h2>{shown.result.pump.name}</h2>
                <PumpChart result={shown.result} />
                <HeadTable result={shown.result} />
              </section>
              <section className="sheet" aria-label="Checks">
                <h2>Checks</h2>
                <CheckList checks={shown.checks} />
              </section>
            </div>
            <p className="soft small">
              The app advises; local codes and licensed practice decide. Walls above 0.6 m, slabs and roofs are for a licensed engineer, wiring for a licensed
              electrician with RCD/GFCI protection, auto-fill for a licensed plumber. Have buried services marked before digging, and guard open water and
              vaults against children.
            </p>
          </div>
        ) : (
          <p className="sheet">Mend the marked figures, and the bed is drawn here.</p>
        )}
      </div>
    </>
  )
}

function Area({ m2 }: { m2: number }) {
  const show = useShow()
  return <span data-testid="bed-area">{show(m2, 'area')}</span>
}

function HeadTable({ result }: { result: DesignResult }) {
  const show = useShow()
  const { head, demand, duty } = result
  const m = (value: number) => show(value, 'length', { scale: Math.abs(value) < 0.1 ? 'small' : 'usual' })
  return (
    <>
      <dl className="figures">
        <div>
          <dt>Duty</dt>
          <dd data-testid="duty-flow">{duty.status === 'no-flow' ? 'no flow' : show(duty.flowM3PerH, 'flow')}</dd>
        </div>
        <div>
          <dt>Needed ({demand.governedBy === 'school' ? 'by the school' : demand.governedBy === 'oxygen' ? 'for oxygen' : 'for turnover'})</dt>
          <dd>{show(demand.neededM3PerH, 'flow')}</dd>
        </div>
        <div>
          <dt>Power</dt>
          <dd>{powerWords(result.pump.powerW)}</dd>
        </div>
      </dl>
      <Why title={`Head ${m(head.totalM)}: how it adds up`}>
        Lift {m(head.staticM)} + pipe friction {m(head.darcyM)} (Darcy–Weisbach; Hazen–Williams says {m(head.hazenM)}) + fittings {m(head.minorM)} + bed{' '}
        {m(head.bedM)} + slots {m(head.nozzlesM)}. Pipe velocity {formatNumber(head.velocityMPerS)} m/s.
      </Why>
    </>
  )
}

function Stone({ result }: { result: DesignResult }) {
  const show = useShow()
  const tonnes = result.quantities.reduce((sum, q) => sum + q.massT, 0)
  return (
    <Why title={`Stone and modules: ${show(result.areaM2 * result.depthM, 'volume')}, ${show(tonnes * 1000, 'mass')}`}>
      {result.quantities.map((q, i) => (
        <div key={i}>
          {BED_MATERIALS[q.material].name}: {show(q.volumeM3, 'volume')}
          {q.massT > 0.05 && BED_MATERIALS[q.material].granular ? `, ${show(q.massT * 1000, 'mass')}` : ''}
        </div>
      ))}
    </Why>
  )
}

function SizingWhy({ data, result }: { data: BenchData; result: DesignResult }) {
  const show = useShow()
  const { designPond, practice } = data
  const nitrogen = result.grown.schools.find((s) => s.school === 'nitrogen')!
  const worst = result.grown.months[nitrogen.month]
  return (
    <Why>
      <ul className="mb-1 ps-3">
        <li>
          Share of volume: {show(practice.volumeShare[designPond.use], 'share')} of {show(designPond.volumeM3, 'volume')}; {practice.emptyBedVolumesPerH} bed
          volumes an hour. Trade rule.
        </li>
        <li>
          Share of surface: {show(practice.surfaceShare[designPond.use], 'share')} of {show(designPond.areaM2, 'area')}, less above{' '}
          {show(practice.surfaceCurve.fullToM2, 'area')}; {practice.hydraulicLoadingMPerH} m of water an hour. Trade rule.
        </li>
        <li>
          Nitrogen and oxygen: {show(worst.feedKgPerD, 'mass')} feed a day at {show(worst.tempC, 'temperature')}, {show(practice.feedProtein, 'share')} protein
          × 0.092 = {show(worst.tanLoadGPerD / 1000, 'mass', { scale: 'small' })} ammonia a day (Timmons & Ebeling), nitrified on the stone’s surface at{' '}
          {show(practice.targetTanMgL, 'concentration')}; 4.57 g oxygen per g.
        </li>
        <li>Closed loop: removal per pass of three tanks in series, level = background + load ÷ (flow × removal) (Kadlec & Wallace).</li>
      </ul>
    </Why>
  )
}
