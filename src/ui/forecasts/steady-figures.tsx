'use client'
import { useTexts } from '@/ui/kit/texts'

interface SteadyFiguresProps {
  /** Figures that hardly move, each in words. */
  readonly lines: readonly string[]
  /** Whether they are drawn all the same. */
  readonly drawn: boolean
  readonly onDraw: (drawn: boolean) => void
}

/** What need not be drawn since it hardly moves; who wants to sees its chart too. */
export function SteadyFigures({ lines, drawn, onDraw }: SteadyFiguresProps) {
  const t = useTexts()

  if (lines.length === 0) return null
  return (
    <div className="steady-figures">
      {drawn ? null : (
        <>
          <h3>{t('forecasts.steady.title')}</h3>
          <ul>
            {lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
      <button type="button" className="btn btn-sm btn-outline-secondary no-print" onClick={() => onDraw(!drawn)}>
        {t(drawn ? 'forecasts.steady.leaveOut' : 'forecasts.steady.drawAll')}
      </button>
    </div>
  )
}
