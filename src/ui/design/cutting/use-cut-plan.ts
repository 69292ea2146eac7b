'use client'
import { useEffect, useState } from 'react'
import { wrap } from 'comlink'
import type { CutPiece, CutPlan, Roll } from '@/core/survey/roll-cutting'
import type { CuttingWorker } from '@/workers/cutting.worker'

export type CutState =
  { readonly status: 'idle' | 'working' | 'failed' } | { readonly status: 'done'; readonly plan: CutPlan }

/** Works a cut plan out in a worker; a newer question or a stop ends the older one. */
export function useCutPlan() {
  const [question, setQuestion] = useState<{ pieces: readonly CutPiece[]; stock: readonly Roll[] } | null>(null)
  const [state, setState] = useState<CutState>({ status: 'idle' })
  useEffect(() => {
    if (!question) return
    const worker = new Worker(new URL('@/workers/cutting.worker.ts', import.meta.url), { type: 'module' })
    let latest = true
    wrap<CuttingWorker>(worker)
      .cutPlan(question.pieces, question.stock)
      .then(
        (plan) => latest && setState({ status: 'done', plan }),
        () => latest && setState({ status: 'failed' }),
      )
    return () => {
      latest = false
      worker.terminate()
    }
  }, [question])
  return {
    state,
    ask: (pieces: readonly CutPiece[], stock: readonly Roll[]) => {
      setState({ status: 'working' })
      setQuestion({ pieces, stock })
    },
    stop: () => {
      setQuestion(null)
      setState({ status: 'idle' })
    },
  }
}
