import { ProblemError } from '@/domain/shared/problems'
import { turns } from './turns'

describe('turns', () => {
  it('let so many work at once, the next in order, and ask others to come again', async () => {
    const inTurn = turns(2, 2)
    let [now, max] = [0, 0]
    const ends: (() => void)[] = []
    const order: number[] = []
    const work = (n: number) =>
      inTurn(async () => {
        order.push(n)
        max = Math.max(max, ++now)
        await new Promise<void>((resolve) => ends.push(resolve))
        now--
      })
    const all = [0, 1, 2, 3, 4].map((n) => work(n).catch((error: unknown) => error))
    expect(await all[4]).toBeInstanceOf(ProblemError)
    for (let i = 0; i < 4; i++) {
      ends[i]!()
      await all[i]
    }
    expect([max, now]).toEqual([2, 0])
    expect(order).toEqual([0, 1, 2, 3])
  })
  it('of work that failed go on to the next', async () => {
    const inTurn = turns(1, 5)
    await expect(inTurn(() => Promise.reject(new Error('damaged')))).rejects.toThrow('damaged')
    expect(await inTurn(() => Promise.resolve(7))).toBe(7)
  })
})
