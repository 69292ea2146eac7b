'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { MessagesData } from '@/server/messages/notices'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'
import { TemplatesForm } from './templates-form'

/** Who has to be told what, sent with one press; what was sent; the words of the letters. */
export function MessagesView({ data }: { data: MessagesData }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('messages.messagesView.messages')}</h1>
        <span className="soft">{t('messages.messagesView.whatCustomersStillHave')}</span>
      </div>
      <ToTell data={data} />
      <Sent data={data} />
      <section className="sheet">
        <h2>{t('messages.messagesView.wordsMessages')}</h2>
        <TemplatesForm kept={{ templates: data.templates, version: data.version }} />
      </section>
    </>
  )
}

const DUE_VERDICTS: Readonly<Record<string, string>> = { 'visit-planned': 'pass', 'visit-moved': 'look' }

function ToTell({ data }: { data: MessagesData }) {
  const t = useTexts()

  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [later, setLater] = useState(false)
  const { problem, ask } = useSave()
  const [said, setSaid] = useState('')
  // changes are told at once, however far off; new visits when they come near
  const now = data.due.filter((d) => d.kind !== 'visit-planned' || d.day <= data.soonUntil)
  const shown = later ? data.due : now
  const chosen = shown.filter((d) => !left.has(d.visitId) && d.email !== '')
  const tell = async () => {
    const answer = await ask(
      send<{ queued: number }>('POST', '/api/v1/notices', { visits: chosen.map((d) => d.visitId) }),
    )
    if (answer) setSaid(t('messages.messagesView.way', { queued: answer.queued }))
  }
  const notified = async (visitId: string) => {
    if (await ask(send('POST', '/api/v1/notices/notified', { visits: [visitId] })))
      setSaid(t('messages.messagesView.notedTold'))
  }
  return (
    <section className="sheet">
      <h2>{t('messages.messagesView.tell')}</h2>
      {shown.length === 0 ? <p className="soft">{t('messages.messagesView.everyoneKnows')}</p> : null}
      {shown.length > 0 ? (
        <div
          style={{ overflowX: 'auto', maxHeight: '28rem', position: 'relative' }}
          role="region"
          aria-label={t('messages.messagesView.visitsTell')}
          tabIndex={0}
        >
          <table className="table table-sm mb-2">
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">{t('messages.messagesView.tell2')}</span>
                </th>
                <th scope="col">{t('messages.messagesView.customer')}</th>
                <th scope="col">{t('messages.messagesView.visit')}</th>
                <th scope="col">{t('messages.messagesView.day')}</th>
                <th scope="col">{t('messages.messagesView.what')}</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((d) => (
                <tr key={d.visitId}>
                  <td>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      aria-label={t('messages.messagesView.tell3', {
                        customerName: d.customerName,
                        kind: t(`messages.noticeNames.${d.kind}`).toLowerCase(),
                        day: t.shortDate(d.day),
                      })}
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
                    {d.email === '' ? (
                      <span className="verdict look ms-1">{t('messages.messagesView.noEMailCall')}</span>
                    ) : (
                      <div className="soft small">{d.email}</div>
                    )}
                    <button
                      type="button"
                      className="btn btn-sm btn-link p-0 ms-1"
                      aria-label={t('messages.messagesView.markTold', {
                        customerName: d.customerName,
                        day: t.shortDate(d.day),
                      })}
                      onClick={() => void notified(d.visitId)}
                    >
                      {t('messages.messagesView.markTold2')}
                    </button>
                  </td>
                  <td>
                    {d.jobName} <span className="soft">{d.siteName}</span>
                  </td>
                  <td className="text-nowrap">
                    {t.shortDate(d.day)} {d.startTime}
                  </td>
                  <td>
                    <span className={`verdict ${DUE_VERDICTS[d.kind]}`}>{t(`messages.noticeNames.${d.kind}`)}</span>
                    {d.notified && d.kind !== 'visit-planned' ? (
                      <span className="soft small">
                        {' '}
                        {t('messages.messagesView.was', {
                          day: t.shortDate(d.notified.day),
                          startTime: d.notified.startTime,
                        })}
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
          {chosen.length === 0
            ? t('messages.messagesView.tellCustomers')
            : t('messages.messagesView.tell4', { count: chosen.length })}
        </button>
        {data.due.length > now.length ? (
          <label>
            <input
              type="checkbox"
              className="form-check-input me-1"
              checked={later}
              onChange={(e) => setLater(e.target.checked)}
            />
            {t('messages.messagesView.alsoNewVisitsAfter', {
              count: data.due.length - now.length,
              soonUntil: t.shortDate(data.soonUntil),
            })}
          </label>
        ) : null}
      </div>
    </section>
  )
}

const STATE_WORDS = {
  queued: textId('messages.messagesView.waiting'),
  sending: textId('messages.messagesView.way2'),
  sent: textId('messages.messagesView.sent'),
  failed: textId('messages.messagesView.notSent'),
  notified: textId('messages.messagesView.told'),
} as const
/** A letter that waits for longer has got stuck somewhere, and can be sent again. */
const STUCK_MS = 120_000

function Sent({ data }: { data: MessagesData }) {
  const t = useTexts()

  const router = useRouter()
  const { timeZone } = usePerson()
  const { problem, ask } = useSave()
  const again = async (id: string) => {
    await ask(send('POST', `/api/v1/notices/${id}/again`))
  }
  const stuck = ({ state, problem: why, madeAt }: MessagesData['sent'][number]) =>
    state === 'failed' ||
    ((state === 'queued' || state === 'sending') && (why !== '' || data.nowMs - Date.parse(madeAt) > STUCK_MS))
  return (
    <section className="sheet">
      <div className="d-flex justify-content-between align-items-baseline">
        <h2>{t('messages.messagesView.sentLately')}</h2>
        <button className="btn btn-sm btn-outline-secondary no-print" onClick={() => router.refresh()}>
          {t('messages.messagesView.lookAgain')}
        </button>
      </div>
      <ProblemNote problem={problem} />
      {data.sent.length === 0 ? <p className="soft mb-0">{t('messages.messagesView.nothingYet')}</p> : null}
      <ul className="plain-list">
        {data.sent.map((n) => {
          const verdict = () => {
            if (n.state === 'sent' || n.state === 'notified') return 'pass'
            if (n.state === 'failed') return 'stop'
            return 'look'
          }

          return (
            <li key={n.id}>
              <details>
                <summary>
                  <span className={`verdict ${verdict()} me-1`}>{t(STATE_WORDS[n.state])}</span>
                  {n.subject}{' '}
                  <span className="soft">
                    {n.state === 'notified'
                      ? n.customerName
                      : t('messages.messagesView.to', { recipient: n.recipient })}
                    , {t.instant(n.sentAt ?? n.madeAt, timeZone)}
                  </span>
                </summary>
                <p className="small mt-1" style={{ whiteSpace: 'pre-wrap' }}>
                  {n.body}
                </p>
              </details>
              {stuck(n) ? (
                <span className="small">
                  {n.problem}{' '}
                  <button
                    className="btn btn-sm btn-outline-primary"
                    onClick={() => void again(n.id)}
                    aria-label={t('messages.messagesView.sendAgain', { subject: n.subject })}
                  >
                    {t('messages.messagesView.sendAgain2')}
                  </button>
                </span>
              ) : null}
            </li>
          )
        })}
      </ul>
    </section>
  )
}
