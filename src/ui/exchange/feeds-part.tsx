'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import type { ExchangeData } from '@/server/exchange/exchange-page'
import { useRemoval } from '@/ui/use-removal'
import { useSave } from '@/ui/use-save'

const FIRM = 'firm'

/** Calendar links: made for the firm, a crew or a customer; each opens without signing in, until it is revoked. */
export function FeedsPart({ data }: { data: ExchangeData }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const [forWhom, setForWhom] = useState(FIRM)
  const [link, setLink] = useState('')
  const { problem, ask } = useSave()
  const removal = useRemoval()
  const make = async () => {
    const [scope, id] = forWhom.split(':')
    const answer = await ask(
      send<{ token: string }>('POST', '/api/v1/calendar-feeds', {
        scope,
        ...(scope === 'crew' ? { crewId: id } : {}),
        ...(scope === 'customer' ? { customerId: id } : {}),
      }),
    )
    if (!answer) return
    setLink(`${window.location.origin}/api/v1/calendars/${answer.token}.ics`)
  }
  const revoke = async (id: string) => {
    const gone = await removal.removeForGood({
      path: `/api/v1/calendar-feeds/${id}`,
      words: t('exchange.feedsPart.linkEndsForGood'),
      goOn: t('exchange.feedsPart.revoke'),
    })
    if (gone) setLink('')
  }
  return (
    <section className="sheet">
      <h2>{t('exchange.feedsPart.calendarLinks')}</h2>
      <p className="soft">{t('exchange.feedsPart.calendarProgramFollowsLink')}</p>
      <div className="d-flex flex-wrap gap-2 align-items-end">
        <ChoiceField
          label={t('exchange.feedsPart.calendar')}
          value={forWhom}
          onChange={(e) => setForWhom(e.target.value)}
          options={[
            { value: FIRM, label: t('exchange.feedsPart.wholeFirm') },
            ...data.crews.map((c) => ({
              value: `crew:${c.id}`,
              label: t('exchange.feedsPart.crew', { name: c.name }),
            })),
            ...data.customers.map((c) => ({ value: `customer:${c.id}`, label: c.name })),
          ]}
        />
        <button className="btn btn-sm btn-primary" onClick={() => void make()}>
          {t('exchange.feedsPart.makeLink')}
        </button>
      </div>
      {link ? (
        <label className="d-block mt-2">
          {t('exchange.feedsPart.copyLinkNowShown')}
          <input
            className="form-control form-control-sm"
            readOnly
            value={link}
            onFocus={(e) => e.target.select()}
            aria-label={t('exchange.feedsPart.newCalendarLink')}
          />
        </label>
      ) : null}
      <ProblemNote problem={problem ?? removal.problem} />
      <ul className="plain-list mt-2">
        {data.feeds.map((feed) => {
          const scopeText = () => {
            if (feed.scope === 'firm') return t('exchange.feedsPart.wholeFirm')
            if (feed.scope === 'crew') return t('exchange.feedsPart.crew2', { forName: feed.forName })
            return feed.forName
          }

          return (
            <li key={feed.id} className="d-flex flex-wrap gap-2 align-items-baseline">
              <strong>{scopeText()}</strong>
              <span className="soft small">
                {t('exchange.feedsPart.made', {
                  madeAt: t.instant(feed.madeAt, timeZone),
                  readAt: feed.readAt
                    ? t('exchange.feedsPart.lastRead', { readAt: t.instant(feed.readAt, timeZone) })
                    : t('exchange.feedsPart.notReadYet'),
                })}
              </span>
              <button
                className="btn btn-sm btn-outline-secondary ms-auto"
                onClick={() => void revoke(feed.id)}
                aria-label={t('exchange.feedsPart.revokeLink', {
                  forName: feed.forName || t('exchange.feedsPart.wholeFirm2'),
                })}
              >
                {t('exchange.feedsPart.revoke')}
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
