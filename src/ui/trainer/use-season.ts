'use client'
import { wrap, type Remote } from 'comlink'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { z } from 'zod'
import { trainerScenario } from '@/core/trainer/scenarios'
import { minutesOf, NOTHING, refusalsOf, type WeekChoice } from '@/core/trainer/play'
import type { KitTest } from '@/core/trainer/kit'
import type { TrainerTaskKey } from '@/core/trainer/tasks'
import type { WeekView } from '@/core/trainer/view'
import { WeekChoiceInput } from '@/domain/trainer/trainer-game'
import type { TrainerGameData } from '@/server/trainer/trainer-games'
import { send } from '@/ui/send'
import { useAsk } from '@/ui/use-ask'
import { useDraft } from '@/ui/use-draft'
import type { TrainerWorker } from '@/workers/trainer.worker'
import type { WeekPlan } from '@/core/trainer/scenario'

/** @returns hands out the worker that runs the pond, begun when it is first asked for and ended with the page */
function useTrainerWorker(): () => Remote<TrainerWorker> {
  const kept = useRef<{ readonly worker: Worker; readonly remote: Remote<TrainerWorker> } | null>(null)
  useEffect(
    () => () => {
      kept.current?.worker.terminate()
      kept.current = null
    },
    [],
  )
  return useCallback(() => {
    if (!kept.current) {
      const worker = new Worker(new URL('@/workers/trainer.worker.ts', import.meta.url), { type: 'module' })
      kept.current = { worker, remote: wrap<TrainerWorker>(worker) }
    }
    return kept.current.remote
  }, [])
}
export type TrainingPondOf = ReturnType<typeof useTrainerWorker>

/** A visit that is being put together, and the week it is for. */
const KeptVisit = z.object({ week: z.int(), visit: WeekChoiceInput })

interface Advice {
  readonly choice: WeekChoice
  readonly why: WeekPlan['why']
}

/** A season at play: what was done, this week's visit as it is put together, and what can be seen. */
export function useSeason(data: TrainerGameData) {
  const { game } = data
  const router = useRouter()
  const pond = useTrainerWorker()
  const scenario = trainerScenario(game.scenario)
  const [choices, setChoices] = useState<readonly WeekChoice[]>(game.choices)
  const [mornings, setMornings] = useState<readonly WeekView[]>([])
  const [visit, setVisit] = useState<WeekChoice>(NOTHING)
  const [advice, setAdvice] = useState<Advice | null>(null)
  const asking = useAsk()
  const [busy, setBusy] = useState(false)
  // tests made and questions asked stay made through a reload: what was seen cannot be unseen
  const keptVisit = useMemo(() => ({ week: choices.length, visit }), [choices.length, visit])
  const draft = useDraft(`slow-reed:practice:${game.id}`, keptVisit, (old) => {
    const read = KeptVisit.safeParse(old)
    if (read.success && read.data.week === game.choices.length) setVisit(read.data.visit)
  })

  useEffect(() => {
    let here = true
    void pond()
      .mornings(game.scenario, game.seed, choices)
      .then((seen) => {
        if (here) setMornings(seen)
      })
    return () => {
      here = false
    }
  }, [pond, choices, game.scenario, game.seed])

  const over = choices.length >= scenario.weeks
  // the pond lives in a worker: until it answers, the week before is what is known
  const view = mornings.length === choices.length + 1 ? mornings[choices.length] : null
  const refusals = view && !over ? refusalsOf(visit, view, scenario.minutesPerWeek) : []

  /** Goes home: the week passes. */
  const goHome = async () => {
    if (busy) return
    setBusy(true)
    const weeks = [...choices, visit]
    const kept = await asking.ask(send('PUT', `/api/v1/trainer-games/${game.id}`, { choices: weeks }))
    setBusy(false)
    // nothing is lost without a connection: the visit stays as it was put together
    if (!kept) return
    setVisit(NOTHING)
    setAdvice(null)
    setChoices(weeks)
    if (weeks.length < scenario.weeks) return window.scrollTo({ top: 0 })
    draft.clear()
    router.refresh()
  }

  const test = (kind: KitTest) => setVisit((v) => (v.tests.includes(kind) ? v : { ...v, tests: [...v.tests, kind] }))
  const choose = (task: TrainerTaskKey, option: string | null) =>
    setVisit((v) => {
      const rest = v.tasks.filter((t) => t.task !== task)
      return { ...v, tasks: option === null ? rest : [...rest, { task, option }] }
    })
  const ask = async () => {
    if (advice) return
    setAdvice(await pond().advice(game.scenario, game.seed, choices))
    setVisit((v) => ({ ...v, asked: true }))
  }
  /** The foreman's visit as a whole; tests already made stay made. */
  const follow = () => {
    if (!advice) return
    setVisit((v) => ({
      tests: [...new Set([...v.tests, ...advice.choice.tests])],
      tasks: advice.choice.tasks,
      asked: true,
    }))
  }

  return {
    scenario,
    pond,
    choices,
    mornings,
    view,
    over,
    visit,
    advice,
    refusals,
    problem: asking.problem,
    busy,
    minutesLeft: scenario.minutesPerWeek - minutesOf(visit),
    test,
    choose,
    ask,
    follow,
    goHome,
  }
}
export type Season = ReturnType<typeof useSeason>
