'use client'
import { parseAsArrayOf, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { useMemo } from 'react'
import { RECORD_SPANS, waterLanes } from '@/domain/water/water-record'
import type { PondWaterData } from '@/server/ponds/pond-pages'
import { Chart } from '@/ui/kit/charts/chart'
import { useTexts } from '@/ui/kit/texts'
import { Unfold } from '@/ui/kit/unfold'
import { useShow } from '@/ui/person-context'
import { LaneChoice } from './lane-choice'
import { laneName } from './record-lanes'
import { recordMarks, workWords } from './record-marks'
import { recordHeightPx, recordOption, shownRows } from './record-option'
import { RecordTable } from './record-table'
import { useRecordDrawing } from './use-record-drawing'
import { WorkList } from './work-list'

const VIEW = {
  span: parseAsStringLiteral(RECORD_SPANS).withDefault('year'),
  tests: parseAsArrayOf(parseAsString).withDefault([]),
}
/** So many lanes at first; the others are one press away. */
const LANES_AT_FIRST = 5

/** The pond's water on one axis of days: tests, limits, what was done, what is forecast and what is planned. */
export function WaterRecord({ data }: { data: PondWaterData }) {
  const t = useTexts()

  const show = useShow()
  const [{ span, tests }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const { readings, visits, work, forecast } = data
  const outlook = forecast?.outlook ?? null
  const all = useMemo(() => waterLanes(readings, outlook), [readings, outlook])
  const lanes = useMemo(
    () => all.filter(({ key }, i) => (tests.length > 0 ? tests.includes(key) : i < LANES_AT_FIRST)),
    [all, tests],
  )
  const marks = useMemo(() => recordMarks(visits, work, (each) => workWords(each, t, show)), [visits, work, t, show])
  const drawing = useRecordDrawing({ lanes, marks, span, data })
  const option = useMemo(() => recordOption(drawing), [drawing])
  if (all.length === 0 && marks.length === 0)
    return <p className="soft mb-0">{t('ponds.pondView.readingsFromVisitsGather')}</p>
  return (
    <>
      <LaneChoice
        lanes={all.map(({ key }) => key)}
        chosen={lanes.map(({ key }) => key)}
        onChoose={(keys) => void setView({ tests: keys })}
        span={span}
        onSpan={(next) => void setView({ span: next })}
      />
      <Chart
        option={option}
        heightPx={recordHeightPx(drawing)}
        label={t('water.record.drawing', {
          tests: drawing.lanes.map(({ key }) => laneName(key, t)).join(', '),
          from: t.datedDay(drawing.days.from),
          to: t.datedDay(drawing.days.to),
          count: drawing.marks.length,
        })}
      />
      {drawing.lanes.length === 0 ? <p className="soft">{t('water.record.noTestsHere')}</p> : null}
      <p className="record-key soft small">
        {shownRows(drawing.marks).map((row) => (
          <span key={row} className={`record-mark ${row}`}>
            {t(`water.recordRows.${row}`)}
          </span>
        ))}
        {outlook ? <span className="record-mark ahead">{t('water.record.forecastBand')}</span> : null}
      </p>
      <WorkList marks={drawing.marks} today={data.today} />
      <Unfold label={t('water.record.asTable')} className="mt-2">
        <RecordTable lanes={all} from={drawing.days.from} />
      </Unfold>
    </>
  )
}
