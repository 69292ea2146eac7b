import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'

/** Lets so many pieces of work go on at once and so many more wait; others are asked to come again. */
export function turns(atOnce: number, maxWaiting: number): <Made>(work: () => Promise<Made>) => Promise<Made> {
  let busy = 0
  const waiting: (() => void)[] = []
  return async (work) => {
    if (busy >= atOnce) {
      if (waiting.length >= maxWaiting)
        throw new ProblemError({
          kind: 'busy',
          message: said('kit.problems.manyPicturesBeingTakenMoment'),
          retryAfterS: 5,
        })
      await new Promise<void>((resolve) => waiting.push(resolve))
    } else busy++
    try {
      return await work()
    } finally {
      const next = waiting.shift()
      // the place goes on to who waits longest
      if (next) next()
      else busy--
    }
  }
}
