'use client'
import { useSyncExternalStore } from 'react'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useSave } from '@/ui/use-save'

const nothing = () => () => {}

/** The private link to a customer's own page: made, copied, ended. */
export function OwnPageLink({ customerId, name, link }: { customerId: string; name: string; link: string | null }) {
  const { problem, save } = useSave()
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
          <a className="btn btn-sm btn-outline-secondary" href={`/garden/${link}`} target="_blank" rel="noreferrer" aria-label={`Open the own page of ${name}`}>
            Open their page
          </a>
          <input
            className="form-control form-control-sm own-page-address"
            readOnly
            aria-label={`Link to the page of ${name}`}
            value={`${origin}/garden/${link}`}
          />
          <button type="button" className="btn btn-sm btn-outline-danger" onClick={() => void save('DELETE', path)} aria-label={`End the link of ${name}`}>
            End the link
          </button>
        </>
      ) : (
        <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => void save('POST', path, {})} aria-label={`Make a page for ${name}`}>
          Make them a page of their own
        </button>
      )}
      <ProblemNote problem={problem} />
    </div>
  )
}
