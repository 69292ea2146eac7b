'use client'
import Link from 'next/link'
import { useEffect, useState } from 'react'
import { usePerson } from '@/ui/person-context'

/** The slim bar of the field sheet: whose day, whether there is signal, the way back. */
export function FieldBar() {
  const { firmName, name } = usePerson()
  const [online, setOnline] = useState(true)
  useEffect(() => {
    const look = () => setOnline(navigator.onLine)
    look()
    window.addEventListener('online', look)
    window.addEventListener('offline', look)
    return () => {
      window.removeEventListener('online', look)
      window.removeEventListener('offline', look)
    }
  }, [])
  return (
    <header className="top-bar justify-content-between">
      <Link href="/field" className="firm">
        {name.split(' ')[0]}’s day
      </Link>
      <span role="status" className={online ? 'soft small' : 'verdict look'}>
        {online ? firmName : 'No signal'}
      </span>
      <Link href="/">Office</Link>
    </header>
  )
}
