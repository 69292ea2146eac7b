'use client'
import { useEffect, useRef, useState } from 'react'
import { wrap, type Remote } from 'comlink'
import type { NetworkProblem, SolvedNetwork } from '@/core/hydraulics/network/solve-inp'
import type { NetworkWorker } from '@/workers/network.worker'

export type NetworkState =
  | { readonly status: 'solving' }
  | { readonly status: 'solved'; readonly network: SolvedNetwork; readonly tookMs: number }
  | { readonly status: 'refused'; readonly problem: NetworkProblem }

/** Solves a network in a worker whenever its text changes; the answer to an older text is dropped. */
export function useNetwork(inp: string | null): NetworkState {
  const [state, setState] = useState<NetworkState>({ status: 'solving' })
  const remote = useRef<Remote<NetworkWorker> | null>(null)
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/network.worker.ts', import.meta.url), { type: 'module' })
    remote.current = wrap<NetworkWorker>(worker)
    return () => {
      remote.current = null
      worker.terminate()
    }
  }, [])
  useEffect(() => {
    if (inp === null) return
    let latest = true
    const started = performance.now()
    void remote.current?.solveInp(inp).then((outcome) => {
      if (!latest) return
      setState(
        outcome.ok
          ? { status: 'solved', network: outcome.value, tookMs: performance.now() - started }
          : { status: 'refused', problem: outcome.problem },
      )
    })
    return () => {
      latest = false
    }
  }, [inp])
  return state
}
