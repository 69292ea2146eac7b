'use client'
import { liveQuery } from 'dexie'
import { useEffect, useState } from 'react'

/** What a query of the device's store gives, again whenever that changes; undefined until it is known. */
export function useLive<Value>(query: () => Promise<Value>, key: string): Value | undefined {
  const [found, setFound] = useState<{ key: string; value: Value } | null>(null)
  useEffect(() => {
    const watch = liveQuery(query).subscribe({
      next: (value) => setFound({ key, value }),
      error: (error) => console.error(error),
    })
    return () => watch.unsubscribe()
    // the key says what the query asks for
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key])
  return found?.key === key ? found.value : undefined
}
