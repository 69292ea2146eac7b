'use client'
import { useTexts } from '@/ui/kit/texts'
import type { WhatIfInput } from '@/domain/forecasts/what-if'
import type { WhatIfPageData } from '@/server/forecasts/what-ifs'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { useRemoval } from '@/ui/use-removal'

interface SavedProps {
  readonly data: WhatIfPageData
  readonly onOpen: (whatIf: WhatIfInput) => void
}

/** What-ifs of this pond that were kept; each has an address of its own. */
export function SavedWhatIfs({ data, onOpen }: SavedProps) {
  const t = useTexts()

  const { problem, remove } = useRemoval()
  if (data.saved.length === 0) return <p className="soft mb-0">{t('forecasts.savedWhatIfs.noneKeptYet')}</p>
  return (
    <>
      <ProblemNote problem={problem} />
      <ul className="plain-list">
        {data.saved.map((kept) => (
          <li key={kept.id}>
            <a
              className="text-decoration-underline"
              href={`/ponds/${data.pond.id}/what-if?saved=${kept.id}`}
              onClick={(e) => {
                e.preventDefault()
                window.history.replaceState(null, '', `/ponds/${data.pond.id}/what-if?saved=${kept.id}`)
                onOpen(kept.whatIf)
              }}
            >
              {kept.whatIf.name}
            </a>{' '}
            <span className="soft">
              {kept.savedByName}, {t.longDate(kept.savedAt.slice(0, 10))}
            </span>
            {data.maySave ? (
              <button
                className="btn btn-sm btn-link p-0 ms-2"
                onClick={() =>
                  void remove(`/api/v1/what-ifs/${kept.id}`, kept.whatIf.name, () =>
                    send('POST', `/api/v1/ponds/${data.pond.id}/what-ifs`, kept.whatIf),
                  )
                }
                aria-label={t('forecasts.savedWhatIfs.takeAway', { name: kept.whatIf.name })}
              >
                {t('forecasts.savedWhatIfs.takeAway2')}
              </button>
            ) : null}
          </li>
        ))}
      </ul>
    </>
  )
}
