'use client'
import { RECORD_SPANS, type LaneKey, type RecordSpan } from '@/domain/water/water-record'
import { useTexts } from '@/ui/kit/texts'
import { laneName } from './record-lanes'

interface LaneChoiceProps {
  readonly lanes: readonly LaneKey[]
  readonly chosen: readonly LaneKey[]
  readonly onChoose: (lanes: LaneKey[]) => void
  readonly span: RecordSpan
  readonly onSpan: (span: RecordSpan) => void
}

/** Which tests are drawn, and how far back. One stays: an empty drawing says nothing. */
export function LaneChoice({ lanes, chosen, onChoose, span, onSpan }: LaneChoiceProps) {
  const t = useTexts()

  const toggled = (key: LaneKey) =>
    lanes.filter((lane) => (lane === key ? !chosen.includes(lane) : chosen.includes(lane)))
  return (
    <div className="list-tools no-print">
      <div className="filter-chips" role="group" aria-label={t('water.record.tests')}>
        {lanes.map((key) => {
          const isOn = chosen.includes(key)
          return (
            <button
              key={key}
              type="button"
              className="btn btn-sm"
              aria-pressed={isOn}
              disabled={isOn && chosen.length === 1}
              onClick={() => onChoose(toggled(key))}
            >
              {laneName(key, t)}
            </button>
          )
        })}
      </div>
      <div className="filter-chips ms-auto" role="group" aria-label={t('water.record.howFarBack')}>
        {RECORD_SPANS.map((each) => (
          <button
            key={each}
            type="button"
            className="btn btn-sm"
            aria-pressed={each === span}
            onClick={() => onSpan(each)}
          >
            {t(`water.recordSpans.${each}`)}
          </button>
        ))}
      </div>
    </div>
  )
}
