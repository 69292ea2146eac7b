import type { DatedWaterWork, WaterWork } from '@/domain/water/water-record'
import type { Texts } from '@/ui/kit/texts'
import type { useShow } from '@/ui/person-context'

/** Rows of the record below its lanes. */
export const MARK_ROWS = ['visit', 'dose', 'water', 'planned'] as const
export type MarkRow = (typeof MARK_ROWS)[number]

/** Something that was done, or is to be done, on a day. */
export interface RecordMark {
  readonly key: string
  readonly row: MarkRow
  readonly day: string
  readonly visitId: string
  readonly name: string
}

export interface RecordVisit {
  readonly id: string
  readonly day: string
  readonly isDone: boolean
  readonly name: string
}

/** Visits and what was done to the water on them, newest first. */
export function recordMarks(
  visits: readonly RecordVisit[],
  work: readonly DatedWaterWork[],
  say: (work: WaterWork) => string,
): RecordMark[] {
  return [
    ...visits.map(({ id, day, isDone, name }): RecordMark => ({
      key: id,
      row: isDone ? 'visit' : 'planned',
      day,
      visitId: id,
      name,
    })),
    ...work.map(({ day, visitId, work: each }, n): RecordMark => ({
      key: `${visitId} ${n}`,
      row: each.code === 'dose' ? 'dose' : 'water',
      day,
      visitId,
      name: say(each),
    })),
  ].sort((a, b) => b.day.localeCompare(a.day))
}

/** "Barley extract, 120 ml"; "Water changed: 2.4 m³". */
export function workWords(work: WaterWork, t: Texts, show: ReturnType<typeof useShow>): string {
  return work.code === 'dose'
    ? t('water.record.dose', { name: work.name, amount: Number(work.amount.toPrecision(3)), unit: work.unit })
    : t('water.record.figure', { name: t(`visits.figureNames.${work.code}`), amount: show(work.amount, 'volume') })
}
