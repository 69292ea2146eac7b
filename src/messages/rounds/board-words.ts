import { longDate } from '@/domain/shared/dates'
import type { BoardCell } from '@/domain/rounds/board-moves'
import type { Texts } from '@/messages/texts'

interface MovedVisit {
  readonly id: string
  readonly jobName: string
  readonly siteName: string
  readonly pondName: string
}

interface Board {
  readonly visits: readonly MovedVisit[]
  readonly crews: readonly { readonly id: string; readonly name: string }[]
  readonly cellOf: (id: string) => BoardCell
}

interface Held {
  readonly active: { readonly id: string | number }
  readonly over: { readonly id: string | number } | null
}

/** What is spoken while a visit is moved on the rounds board: by names, never by ids. */
export function boardWords({ visits, crews, cellOf }: Board, t: Texts) {
  const visitOf = (id: string | number): string => {
    const visit = visits.find((v) => v.id === id)
    return visit ? t('rounds.board.visit', { job: visit.jobName, site: visit.siteName, pond: visit.pondName }) : ''
  }
  const placeOf = (id: string | number) => {
    const { crewId, day } = cellOf(String(id))
    return { crew: crews.find((c) => c.id === crewId)?.name ?? '', day: longDate(day) }
  }
  return {
    onDragStart: ({ active }: Pick<Held, 'active'>) => t('rounds.board.pickedUp', { visit: visitOf(active.id) }),
    onDragOver: ({ active, over }: Held) =>
      over ? t('rounds.board.over', { visit: visitOf(active.id), ...placeOf(over.id) }) : t('rounds.board.overNothing'),
    onDragEnd: ({ active, over }: Held) =>
      over
        ? t('rounds.board.putDown', { visit: visitOf(active.id), ...placeOf(over.id) })
        : t('rounds.board.stays', { visit: visitOf(active.id) }),
    onDragCancel: ({ active }: Pick<Held, 'active'>) => t('rounds.board.stays', { visit: visitOf(active.id) }),
  }
}
