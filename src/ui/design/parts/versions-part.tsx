'use client'
import Link from 'next/link'
import { usePathname, useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { estimate } from '@/core/pricing/estimate'
import type { FilterDesign } from '@/core/filter/design-input'
import { instant } from '@/domain/shared/dates'
import { FilterDesignInput, type Design } from '@/domain/design/design'
import { money } from '@/domain/prices/pricing'
import { may } from '@/domain/people/roles'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { BedSection } from '@/ui/drawing/bed-section'
import { FILTER_TYPE_NAMES } from '@/messages/en/filters'
import { SCHOOL_NAMES } from '@/messages/en/schools'
import { checkWords } from '@/messages/en/checks'
import { usePerson, useShow } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import { workThrough, type BenchPart, type Worked } from '../use-bench'

const STATE_NAMES = { open: 'open', approved: 'approved', built: 'built' } as const
const NOW = 'now'

/** Saved versions: which one counts, what was built, and two of them side by side. */
export function VersionsPart(part: BenchPart) {
  const { data, shown } = part
  const pathname = usePathname()
  const { timeZone } = usePerson()
  return (
    <>
      <section className="sheet">
        <h2>Versions</h2>
        {data.designs.length === 0 ? <p className="soft mb-0">None saved yet.</p> : null}
        <ul className="plain-list">
          {data.designs.map((d) => (
            <li key={d.id}>
              <div className="d-flex flex-wrap gap-2 align-items-baseline">
                <Link href={`${pathname}?version=${d.number}&part=versions`}>
                  {d.number}: {d.name}
                </Link>
                <span className={`verdict ${d.state === 'open' ? 'look' : 'pass'}`}>{STATE_NAMES[d.state]}</span>
                <span className="soft small">
                  {d.savedByName}, {instant(d.savedAt, timeZone)}
                  {d.stateByName && d.stateAt ? `; ${STATE_NAMES[d.state]} by ${d.stateByName}, ${instant(d.stateAt, timeZone)}` : ''}
                </span>
                <MoveOn design={d} bench={shown.bed} />
              </div>
              {d.overrideReason ? <div className="soft small">Other school because: {d.overrideReason}</div> : null}
              {d.stops.length > 0 && d.stopReason ? (
                <div className="small">
                  <span className="verdict stop">{d.stops.length === 1 ? '1 stop passed' : `${d.stops.length} stops passed`}</span> {d.stopReason}
                </div>
              ) : null}
              {d.asBuilt ? <div className="small">Built otherwise: {d.asBuilt}</div> : null}
              {d.builtBed ? <AsBuilt design={d} built={d.builtBed} data={data} /> : null}
            </li>
          ))}
        </ul>
        <p className="soft small mb-0">Opening a version and saving makes a copy with the next number; a saved version itself is never changed.</p>
      </section>
      {data.designs.length > 0 ? <Compare {...part} /> : null}
    </>
  )
}

/** Two designs of the same figures read alike, in whatever order they were stored. */
const canonical = (bed: FilterDesign): string => JSON.stringify(FilterDesignInput.safeParse(bed).data ?? bed)

function MoveOn({ design, bench }: { design: Design; bench: FilterDesign }) {
  const router = useRouter()
  const { role } = usePerson()
  const [asBuilt, setAsBuilt] = useState<string | null>(null)
  const [figures, setFigures] = useState(false)
  const differs = canonical(design.bed) !== canonical(bench)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [stopReason, setStopReason] = useState('')
  const stopped = problem?.fields?.find((f) => f.path === 'stopReason')?.message
  if (!may(role, 'designs.write') || design.state === 'built') return null
  const move = async (body: object) => {
    const outcome = await send('POST', `/api/v1/designs/${design.id}/state`, { ...body, stopReason })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setAsBuilt(null)
    router.refresh()
  }
  return (
    <>
      {design.state === 'open' ? (
        <button type="button" className="btn btn-sm btn-outline-primary ms-auto" onClick={() => void move({ state: 'approved', version: design.version })}>
          Approve version {design.number}
        </button>
      ) : asBuilt === null ? (
        <button type="button" className="btn btn-sm btn-outline-primary ms-auto" onClick={() => setAsBuilt('')}>
          Mark version {design.number} as built
        </button>
      ) : (
        <span className="d-flex flex-wrap gap-2 align-items-end w-100">
          <TextField
            className="flex-grow-1"
            label="What was built otherwise than drawn (leave empty if nothing)"
            value={asBuilt}
            onChange={(e) => setAsBuilt(e.target.value)}
          />
          <CheckField label="The figures on the bench now are what was built" checked={differs && figures} disabled={!differs} onChange={setFigures} />
          <button
            type="button"
            className="btn btn-sm btn-primary"
            onClick={() => void move({ state: 'built', version: design.version, asBuilt, builtBed: differs && figures ? bench : null })}
          >
            It is built
          </button>
        </span>
      )}
      {stopped || stopReason ? (
        <TextField
          className="w-100"
          label={`Why version ${design.number} is right although checks say stop`}
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
function AsBuilt({ design, built, data }: { design: Design; built: FilterDesign; data: BenchPart['data'] }) {
  const show = useShow()
  const rows = useMemo(() => {
    const [drawn, stands] = [workThrough(data, design.bed), workThrough(data, built)]
    return drawn && stands ? comparison(drawn, stands, data, show).filter(([, a, b]) => a !== b) : []
  }, [data, design, built, show])
  return (
    <details className="small">
      <summary>As built: {rows.length === 1 ? '1 figure differs' : `${rows.length} figures differ`}</summary>
      <ul className="mb-0">
        {rows.map(([what, a, b]) => (
          <li key={what}>
            {what}: drawn {a}, built {b}
          </li>
        ))}
      </ul>
    </details>
  )
}

function Compare({ data, shown }: BenchPart) {
  const show = useShow()
  const choices = [{ value: NOW, label: 'the draft on the bench' }, ...data.designs.map((d) => ({ value: d.id as string, label: `${d.number}: ${d.name}` }))]
  const [left, setLeft] = useState(data.designs[0].id as string)
  const [right, setRight] = useState(NOW)
  const of = (key: string): Worked | null => {
    const design = data.designs.find((d) => d.id === key)
    return key === NOW ? shown : design ? workThrough(data, design.bed) : null
  }
  // eslint-disable-next-line react-hooks/exhaustive-deps -- `of` reads data and shown, which are listed
  const pair = useMemo(() => [of(left), of(right)] as const, [left, right, data, shown])
  const [a, b] = pair
  const rows = a && b ? comparison(a, b, data, show) : []
  return (
    <section className="sheet" aria-label="Two versions side by side">
      <h2>Two versions side by side</h2>
      <div className="field-grid">
        <ChoiceField label="Left" value={left} onChange={(e) => setLeft(e.target.value)} options={choices} />
        <ChoiceField label="Right" value={right} onChange={(e) => setRight(e.target.value)} options={choices} />
      </div>
      {a && b ? (
        <>
          <div className="columns two mt-2">
            {[a, b].map((w, i) => (
              <BedSection
                key={i}
                lengthM={w.bed.lengthM}
                layers={w.bed.layers}
                manifoldDiameterM={w.bed.manifold.diameterM}
                airBreakM={w.bed.airBreakM}
                withVault={w.bed.vault !== null}
              />
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
        <p className="soft mb-0">A version whose pump is no longer in the catalogue cannot be worked out.</p>
      )}
    </section>
  )
}

/** Inputs, results, price and checks of two designs; checks only where they differ. */
function comparison(a: Worked, b: Worked, data: BenchPart['data'], show: ReturnType<typeof useShow>): [string, string, string][] {
  const row = (what: string, of: (w: Worked) => string): [string, string, string] => [what, of(a), of(b)]
  const book = data.priceBook
  return [
    row('Kind', (w) => FILTER_TYPE_NAMES[w.bed.type]),
    row('School', (w) => SCHOOL_NAMES[w.bed.school]),
    row('Size', (w) => `${show(w.bed.lengthM, 'length')} × ${show(w.bed.widthM, 'length')}${w.bed.vessels > 1 ? ` × ${w.bed.vessels}` : ''}`),
    row('Area', (w) => show(w.result.areaM2, 'area')),
    row('Depth', (w) => show(w.result.depthM, 'length', { scale: 'small' })),
    row('Pump', (w) => w.result.pump.name),
    row('Flow', (w) => show(w.result.flowM3PerH, 'flow')),
    row('Head', (w) => show(w.result.head.totalM, 'length')),
    row('Energy a year', (w) => `${Math.round(w.result.energyKWhPerYear)} kWh`),
    row('TAN, worst month', (w) => show(w.result.worstTanMgL, 'concentration')),
    row('Flush due every', (w) => (Number.isFinite(w.result.flushDays) ? `${Math.round(w.result.flushDays / 30.4)} months` : 'few years')),
    row('Stone', (w) => show(w.result.weights.stoneT * 1000, 'mass')),
    row('Plants', (w) => String(w.result.planting.plants)),
    ...(book ? [row('Price', (w) => money(estimate(w.bed, book, { pumps: data.pumps, pipes: data.practice.tables.pipes }).totalMinor, book.currency))] : []),
    ...a.checks.flatMap((check): [string, string, string][] => {
      const other = b.checks.find((c) => c.id === check.id)
      return other && other.verdict !== check.verdict ? [[checkWords(check, show).title, check.verdict, other.verdict]] : []
    }),
  ]
}
