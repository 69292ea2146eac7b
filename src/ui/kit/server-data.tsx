'use client'
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { fetchJson, type SendProblem } from '@/ui/send'

/** A read that brought a problem instead of an answer. */
class ReadFailed extends Error {
  constructor(readonly problem: SendProblem) {
    super(problem.title)
  }
}

/** What a page reads is asked for anew when it is shown again: nothing older than the page is kept. */
const newClient = () =>
  new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: Infinity,
        gcTime: 0,
        retry: false,
        refetchOnWindowFocus: false,
        refetchOnReconnect: false,
        // without a connection the read is tried too: that it failed is said
        networkMode: 'always',
      },
    },
  })

/** Holds what the views below it read from the app's own API. */
export function ServerData({ children }: { children: ReactNode }) {
  const [client] = useState(newClient)
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>
}

export interface Follow<Value> {
  /** Known already: shown until the first answer is there. */
  readonly initial?: Value
  /** Ask again after so many ms … */
  readonly everyMs: number
  /** … until this holds. */
  readonly until: (value: Value) => boolean
}

export interface ServerRead<Value> {
  readonly value: Value | undefined
  /** Of the newest attempt; null once one succeeded. */
  readonly problem: SendProblem | null
}

/**
 * Reads JSON from the app's own API, once or again and again until it has come to an end.
 * @param path null while nothing is wanted: then nothing is known either
 */
export function useServerData<Value>(path: string | null, follow?: Follow<Value>): ServerRead<Value> {
  const { data, error } = useQuery<Value, ReadFailed>({
    queryKey: [path],
    enabled: path !== null,
    queryFn: async () => {
      const answer = await fetchJson<Value>(path!)
      if (!answer.ok) throw new ReadFailed(answer.problem)
      return answer.value
    },
    refetchInterval: ({ state }) => {
      if (!follow || (state.data !== undefined && follow.until(state.data))) return false
      return follow.everyMs
    },
    initialData: () => (path === null ? undefined : follow?.initial),
  })
  if (path === null) return { value: undefined, problem: null }
  return { value: data, problem: error?.problem ?? null }
}
