import { judgeReading, READING_KINDS, type ReadingKindName } from '@/core/water/readings'
import { badField } from '@/domain/problems'
import { READING_NAMES } from '@/domain/reading-names'
import type { StepAnswer } from '@/domain/visit'

/** Refuses readings that cannot be true and asks about unusual ones. @throws {ProblemError} names the reading and the mend */
export function assertReadings(answer: Pick<StepAnswer, 'readings'>, confirmedUnlikely: boolean, pathPrefix = 'answer.'): void {
  for (const [kind, reading] of Object.entries(answer.readings ?? {}) as [ReadingKindName, { value: number }][]) {
    const judgement = judgeReading(kind, reading.value)
    const { possible, likely } = READING_KINDS[kind]
    const name = READING_NAMES[kind]
    if (judgement === 'impossible')
      throw badField(`${pathPrefix}readings.${kind}`, `${name} cannot be ${reading.value}. It lies between ${possible[0]} and ${possible[1]}: read it again.`)
    if (judgement === 'unlikely' && !confirmedUnlikely)
      throw badField(
        `${pathPrefix}readings.${kind}`,
        `${name} ${reading.value} is unusual (mostly ${likely[0]} to ${likely[1]}). Read it again, then confirm it.`,
      )
  }
}
