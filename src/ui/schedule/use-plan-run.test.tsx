import { act, renderHook } from '@testing-library/react'
import type { PlanRun } from '@/domain/schedule/plan-run'
import { ServerData } from '@/ui/kit/server-data'
import { usePlanRun } from './use-plan-run'

it('a plan that was finished before the page opened is gone once it is dropped', () => {
  const finished = { id: 'p1', state: 'done' } as PlanRun
  const { result } = renderHook(() => usePlanRun(finished), { wrapper: ServerData })
  expect(result.current.run).toBe(finished)
  act(() => result.current.drop())
  expect(result.current.run).toBeNull()
})
