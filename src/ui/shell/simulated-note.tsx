'use client'
import { useEffect, useState } from 'react'

const WHAT: Readonly<Record<string, string>> = {
  WEATHER_DESK_URL: 'The weather is made up',
  ROADS_URL: 'Driving times are made up',
  MAIL_URL: 'Letters to customers are not sent',
}
const KEY = 'slow-reed:simulated-known'

/** Says what is only simulated, until it is set or the owner knowingly leaves it so. */
export function SimulatedNote({ simulated }: { simulated: readonly string[] }) {
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
    <aside className="sheet m-2 d-flex flex-wrap gap-2 align-items-center" aria-label="Simulated">
      <span className="verdict look">Simulated</span>
      <span>
        {simulated.map((name) => WHAT[name] ?? name).join('. ')}. Set {simulated.join(', ')} as the README says.
      </span>
      <button type="button" className="btn btn-sm btn-outline-secondary ms-auto" onClick={leave}>
        Leave it so
      </button>
    </aside>
  )
}
