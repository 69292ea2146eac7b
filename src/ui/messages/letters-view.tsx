'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { instant, shortDate } from '@/domain/shared/dates'
import { NOTICE_NAMES } from '@/domain/messages/notice'
import type { noticeBoard } from '@/server/messages/notices'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import { TemplatesForm } from './templates-form'

type LetterData = Awaited<ReturnType<typeof noticeBoard>>

/** Who has to be told what, sent with one press; what was sent; the words of the letters. */
export function LettersView({ data }: { data: LetterData }) {
  return (
    <>
      <div className="page-head">
        <h1>Letters</h1>
        <span className="soft">What customers still have to be told about their visits.</span>
      </div>
      <ToTell data={data} />
      <Sent data={data} />
      <section className="sheet">
        <h2>Words of the letters</h2>
        <TemplatesForm kept={{ templates: data.templates, version: data.version }} />
      </section>
    </>
  )
}

function ToTell({ data }: { data: LetterData }) {
  const router = useRouter()
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [later, setLater] = useState(false)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [said, setSaid] = useState('')
  // changes are told at once, however far off; new visits when they come near
  const now = data.due.filter((d) => d.kind !== 'visit-planned' || d.day <= data.soonUntil)
  const shown = later ? data.due : now
  const chosen = shown.filter((d) => !left.has(d.visitId) && d.email !== '')
  const tell = async () => {
    const outcome = await send<{ queued: number }>('POST', '/api/v1/notices', { visits: chosen.map((d) => d.visitId) })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setSaid(`${outcome.value.queued} ${outcome.value.queued === 1 ? 'letter is' : 'letters are'} on the way.`)
    router.refresh()
  }
  const told = async (visitId: string) => {
    const outcome = await send('POST', '/api/v1/notices/told', { visits: [visitId] })
    setProblem(outcome.ok ? null : outcome.problem)
    if (outcome.ok) setSaid('Noted as told.')
    router.refresh()
  }
  return (
    <section className="sheet">
      <h2>To tell</h2>
      {shown.length === 0 ? <p className="soft">Everyone knows.</p> : null}
      {shown.length > 0 ? (
        <div style={{ overflowX: 'auto', maxHeight: '28rem', position: 'relative' }} role="region" aria-label="Visits to tell of" tabIndex={0}>
          <table className="table table-sm mb-2">
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">Tell</span>
                </th>
                <th scope="col">Customer</th>
                <th scope="col">Visit</th>
                <th scope="col">Day</th>
                <th scope="col">What</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((d) => (
                <tr key={d.visitId}>
                  <td>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      aria-label={`Tell ${d.customerName}: ${NOTICE_NAMES[d.kind].toLowerCase()}, ${shortDate(d.day)}`}
                      disabled={d.email === ''}
                      checked={d.email !== '' && !left.has(d.visitId)}
                      onChange={(e) => {
                        const next = new Set(left)
                        if (e.target.checked) next.delete(d.visitId)
                        else next.add(d.visitId)
                        setLeft(next)
                      }}
                    />
                  </td>
                  <td>
                    {d.customerName}
                    {d.email === '' ? <span className="verdict look ms-1">no e-mail: call</span> : <div className="soft small">{d.email}</div>}
                    <button
                      type="button"
                      className="btn btn-sm btn-link p-0 ms-1"
                      aria-label={`Mark as told: ${d.customerName}, ${shortDate(d.day)}`}
                      onClick={() => void told(d.visitId)}
                    >
                      Mark as told
                    </button>
                  </td>
                  <td>
                    {d.jobName} <span className="soft">{d.siteName}</span>
                  </td>
                  <td className="text-nowrap">
                    {shortDate(d.day)} {d.startTime}
                  </td>
                  <td>
                    <span className={`verdict ${d.kind === 'visit-planned' ? 'pass' : d.kind === 'visit-moved' ? 'look' : 'stop'}`}>
                      {NOTICE_NAMES[d.kind]}
                    </span>
                    {d.told && d.kind !== 'visit-planned' ? (
                      <span className="soft small">
                        {' '}
                        was {shortDate(d.told.day)} {d.told.startTime}
                      </span>
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
      <ProblemNote problem={problem} />
      <p role="status" className="mb-2">
        {said}
      </p>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <button className="btn btn-primary" disabled={chosen.length === 0} onClick={() => void tell()}>
          {chosen.length === 0 ? 'Tell customers' : `Tell ${chosen.length} ${chosen.length === 1 ? 'customer' : 'customers'}`}
        </button>
        {data.due.length > now.length ? (
          <label>
            <input type="checkbox" className="form-check-input me-1" checked={later} onChange={(e) => setLater(e.target.checked)} />
            also the {data.due.length - now.length} new visits after {shortDate(data.soonUntil)}
          </label>
        ) : null}
      </div>
    </section>
  )
}

const STATE_WORDS = { queued: 'waiting', sending: 'on the way', sent: 'sent', failed: 'not sent', told: 'told' } as const
/** A letter that waits for longer has got stuck somewhere, and can be sent again. */
const STUCK_MS = 120_000

function Sent({ data }: { data: LetterData }) {
  const router = useRouter()
  const { timeZone } = usePerson()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const again = async (id: string) => {
    const outcome = await send('POST', `/api/v1/notices/${id}/again`)
    setProblem(outcome.ok ? null : outcome.problem)
    router.refresh()
  }
  const stuck = ({ state, problem: why, madeAt }: LetterData['sent'][number]) =>
    state === 'failed' || ((state === 'queued' || state === 'sending') && (why !== '' || data.nowMs - Date.parse(madeAt) > STUCK_MS))
  return (
    <section className="sheet">
      <div className="d-flex justify-content-between align-items-baseline">
        <h2>Sent lately</h2>
        <button className="btn btn-sm btn-outline-secondary no-print" onClick={() => router.refresh()}>
          Look again
        </button>
      </div>
      <ProblemNote problem={problem} />
      {data.sent.length === 0 ? <p className="soft mb-0">Nothing yet.</p> : null}
      <ul className="plain-list">
        {data.sent.map((n) => (
          <li key={n.id}>
            <details>
              <summary>
                <span className={`verdict ${n.state === 'sent' || n.state === 'told' ? 'pass' : n.state === 'failed' ? 'stop' : 'look'} me-1`}>
                  {STATE_WORDS[n.state]}
                </span>
                {n.subject}{' '}
                <span className="soft">
                  {n.state === 'told' ? n.customerName : `to ${n.recipient}`}, {instant(n.sentAt ?? n.madeAt, timeZone)}
                </span>
              </summary>
              <p className="small mt-1" style={{ whiteSpace: 'pre-wrap' }}>
                {n.body}
              </p>
            </details>
            {stuck(n) ? (
              <span className="small">
                {n.problem}{' '}
                <button className="btn btn-sm btn-outline-primary" onClick={() => void again(n.id)} aria-label={`Send again: ${n.subject}`}>
                  Send again
                </button>
              </span>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  )
}
