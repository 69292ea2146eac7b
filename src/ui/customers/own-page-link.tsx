'use client'
import { useTexts } from '@/ui/kit/texts'
import { useSyncExternalStore } from 'react'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useRemoval } from '@/ui/use-removal'
import { useSave } from '@/ui/use-save'

const nothing = () => () => {}

/** The private link to a customer's own page: made, copied, ended. */
export function OwnPageLink({ customerId, name, link }: { customerId: string; name: string; link: string | null }) {
  const t = useTexts()

  const { problem, save } = useSave()
  const removal = useRemoval()
  // only the browser knows under which address the app is reached
  const origin = useSyncExternalStore(
    nothing,
    () => window.location.origin,
    () => '',
  )
  const path = `/api/v1/customers/${customerId}/link`
  return (
    <div className="d-flex gap-2 flex-wrap align-items-center my-1 no-print">
      {link ? (
        <>
          <a
            className="btn btn-sm btn-outline-secondary"
            href={`/customer-page/${link}`}
            target="_blank"
            rel="noreferrer"
            aria-label={t('customers.ownPageLink.openOwnPage', { name })}
          >
            {t('customers.ownPageLink.openTheirPage')}
          </a>
          <input
            className="form-control form-control-sm own-page-address"
            readOnly
            aria-label={t('customers.ownPageLink.linkPage', { name })}
            value={`${origin}/customer-page/${link}`}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-danger"
            onClick={() =>
              void removal.removeForGood({
                path,
                words: t('customers.ownPageLink.linkEndsForGood', { name }),
                goOn: t('customers.ownPageLink.endLink2'),
              })
            }
            aria-label={t('customers.ownPageLink.endLink', { name })}
          >
            {t('customers.ownPageLink.endLink2')}
          </button>
        </>
      ) : (
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => void save('POST', path, {})}
          aria-label={t('customers.ownPageLink.makePage', { name })}
        >
          {t('customers.ownPageLink.makeThemPageTheir')}
        </button>
      )}
      <ProblemNote problem={problem ?? removal.problem} />
    </div>
  )
}
