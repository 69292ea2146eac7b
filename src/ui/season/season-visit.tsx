'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useDraggable } from '@dnd-kit/core'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { fieldHref } from '@/domain/field/field-href'
import type { SeasonRow } from '@/server/season/season-view'
import type { Carried } from './season-drag'
import { percentAt, type TimeAxis } from './time-axis'

const STATE_WORDS = {
  planned: textId('season.seasonRibbon.planned'),
  'under-way': textId('season.seasonRibbon.underWay'),
  done: textId('season.seasonRibbon.done'),
} as const
const STATE_SIGNS = { planned: '●', 'under-way': '▶', done: '✓' } as const
/** From here down a day is wide enough to hold the crew's name. */
const WIDE_DAYS = 31

/** Day over which a dragged visit hangs, and whether that breaks something. */
interface Hanging {
  readonly day: string
  readonly bad: boolean
}

/** The visit that is being dragged. */
export interface HangingVisit extends Hanging {
  readonly visitId: string
}

interface SeasonVisitsProps extends Omit<SeasonVisitProps, 'visit' | 'hanging'> {
  readonly visits: SeasonRow['visits']
  readonly hanging: HangingVisit | null
}

/** Visits on a ribbon or a lane of it. */
export function SeasonVisits({ visits, hanging, ...shared }: SeasonVisitsProps) {
  return visits.map((visit) => (
    <SeasonVisit key={visit.id} visit={visit} hanging={hanging?.visitId === visit.id ? hanging : null} {...shared} />
  ))
}

interface SeasonVisitProps {
  readonly visit: SeasonRow['visits'][number]
  readonly row: Pick<SeasonRow, 'siteName' | 'name'>
  readonly axis: TimeAxis
  readonly hanging: Hanging | null
  readonly movable: boolean
}

/** A visit on its pond's ribbon: a planned one can be carried to another day, all others lead to what they are. */
function SeasonVisit({ visit, row, axis, hanging, movable }: SeasonVisitProps) {
  const t = useTexts()
  const { id, state, promised, jobName, crewName } = visit
  const day = hanging?.day ?? visit.day
  const percent = percentAt(axis, day)
  if (percent < -2 || percent > 102) return null
  const wide = axis.days <= WIDE_DAYS
  const words = t('season.seasonRibbon.at', {
    job: jobName,
    siteName: row.siteName,
    at: t.shortDate(day),
    crew: crewName,
    state: t(STATE_WORDS[state]),
    promised: promised ? t('season.seasonRibbon.promised') : '',
  })
  const looks = {
    className: `season-visit ${state} ${hanging ? `hanging ${hanging.bad ? 'bad' : ''}` : ''} ${wide ? 'wide' : ''}`,
    style: { left: `${percent}%`, ...(wide ? { width: `${100 / axis.days}%` } : {}) },
    title: words,
    'aria-label': words,
  }
  const sign = promised && state === 'planned' ? '◆' : STATE_SIGNS[state]
  const text = wide ? `${STATE_SIGNS[state]} ${crewName}` : sign
  if (movable && state === 'planned')
    return (
      <Movable
        id={id}
        carried={{
          day: visit.day,
          name: t('season.drag.visit', { job: jobName, site: row.siteName, pond: row.name }),
        }}
        looks={looks}
        text={text}
      />
    )
  return (
    <Link prefetch={false} href={state === 'done' ? `/visits/${id}/report` : fieldHref(id)} {...looks}>
      {text}
    </Link>
  )
}

interface MovableProps {
  readonly id: string
  readonly carried: Carried
  readonly looks: React.ButtonHTMLAttributes<HTMLButtonElement>
  readonly text: string
}

function Movable({ id, carried, looks, text }: MovableProps) {
  const router = useRouter()
  const { setNodeRef, listeners, attributes } = useDraggable({ id, data: carried })
  return (
    <button
      ref={setNodeRef}
      type="button"
      data-visit={id}
      {...attributes}
      {...listeners}
      {...looks}
      onClick={() => router.push(fieldHref(id))}
    >
      {text}
    </button>
  )
}
