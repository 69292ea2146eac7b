'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import type { Theme } from '@/ui/kit/theme'
import { usePerson } from '@/ui/person-context'
import type { SyncOutcome } from './device/sync-device'
import type { VisitView } from './device/device-view'
import { FieldLink } from './field-link'
import { clockWords, syncWords } from './sync-words'
import { useRoom } from './use-room'

interface FieldBarProps {
  readonly views: readonly VisitView[]
  readonly outcome: SyncOutcome | null
  readonly busy: boolean
  readonly heardAt: string
  readonly theme: Theme
  readonly onTheme: () => void
  /** The last thing written down did not fit on this device. */
  readonly full?: boolean
  readonly clockOffsetMs?: number
}

const THEME_WORDS: Readonly<Record<Theme, TextId>> = {
  light: textId('field.fieldBar.light'),
  dark: textId('field.fieldBar.dark'),
  sun: textId('field.fieldBar.sun'),
}

/** The slim bar of the field sheet: whose day, what waits to be sent, light or sun, the way back. */
export function FieldBar({
  views,
  outcome,
  busy,
  heardAt,
  theme,
  onTheme,
  full = false,
  clockOffsetMs = 0,
}: FieldBarProps) {
  const t = useTexts()

  const { name, timeZone } = usePerson()
  const waiting = views.reduce((sum, view) => sum + view.waiting, 0)
  const refused = views.reduce((sum, view) => sum + view.refused.length + view.refusedPhotos.length, 0)
  const room = useRoom()
  const { text, good } = syncWords({ outcome, busy, waiting, refused, heardAt, timeZone }, t)
  return (
    <>
      <header className="field-bar no-print">
        <FieldLink href="/field" className="firm">
          {t('field.fieldBar.sDay', { split: name.split(' ')[0]! })}
        </FieldLink>
        <span className="d-flex gap-2 align-items-center">
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            onClick={onTheme}
            aria-label={t('field.fieldBar.themeChange', { theme: t(THEME_WORDS[theme]) })}
          >
            {t(THEME_WORDS[theme])}
          </button>
          {/* the office is another page, not kept on this device */}
          {/* eslint-disable-next-line @next/next/no-html-link-for-pages */}
          <a href="/" className="office-link">
            {t('field.fieldBar.office')}
          </a>
        </span>
      </header>
      <p role="status" className={`sync-line ${good ? 'soft' : 'verdict look'}`}>
        {text}
      </p>
      {full ? (
        <p className="sync-line verdict stop" role="alert">
          {t('field.fieldBar.deviceFullLastThing')}
        </p>
      ) : null}
      {clockOffsetMs !== 0 ? <p className="sync-line verdict look">{clockWords(clockOffsetMs, t)}</p> : null}
      {room !== null && room > 0.8 ? (
        <p className="sync-line verdict look">
          {t('field.fieldBar.deviceFullWhatKept', { room: Math.round(room * 100) })}
        </p>
      ) : null}
    </>
  )
}
