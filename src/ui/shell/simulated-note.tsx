'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useEffect, useState } from 'react'

const WHAT: Readonly<Record<string, TextId>> = {
  WEATHER_DESK_URL: textId('shell.simulatedNote.weatherMadeUp'),
  ROADS_URL: textId('shell.simulatedNote.drivingTimesMadeUp'),
  MAIL_URL: textId('shell.simulatedNote.messagesCustomersNotSent'),
}
const KEY = 'slow-reed:simulated-known'

/** Says what is only simulated, until it is set or the owner knowingly leaves it so. */
export function SimulatedNote({ simulated }: { simulated: readonly string[] }) {
  const t = useTexts()

  const all = simulated.join(',')
  const [known, setKnown] = useState<string | null>(all)
  // what this browser was told before is known only here
  // eslint-disable-next-line react-hooks/set-state-in-effect
  useEffect(() => setKnown(window.localStorage.getItem(KEY)), [])
  if (simulated.length === 0 || known === all) return null
  const leave = () => {
    window.localStorage.setItem(KEY, all)
    setKnown(all)
  }
  return (
    <aside
      className="sheet m-2 d-flex flex-wrap gap-2 align-items-center"
      aria-label={t('shell.simulatedNote.simulated')}
    >
      <span className="verdict look">{t('shell.simulatedNote.simulated')}</span>
      <span>
        {simulated.map((name) => (WHAT[name] ? t(WHAT[name]) : name)).join('. ')}
        {t('shell.simulatedNote.setReadmeSays', { simulated: simulated.join(', ') })}
      </span>
      <button type="button" className="btn btn-sm btn-outline-secondary ms-auto" onClick={leave}>
        {t('shell.simulatedNote.leaveSo')}
      </button>
    </aside>
  )
}
