'use client'
import { useTexts } from '@/ui/kit/texts'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef, type CSSProperties } from 'react'
import type { SeasonLine } from './season-rows'

const ROW_PX = 28
const OVERSCAN = 12

/** Lines on a sheet of paper that lies across; each sheet has the head of its own. */
const LINES_ON_PAPER = 26
const sheetsOf = (lines: readonly SeasonLine[]): SeasonLine[][] =>
  Array.from({ length: Math.ceil(lines.length / LINES_ON_PAPER) }, (_, i) =>
    lines.slice(i * LINES_ON_PAPER, (i + 1) * LINES_ON_PAPER),
  )

interface SeasonListProps {
  readonly lines: readonly SeasonLine[]
  /** Everything at once, for paper. */
  readonly whole: boolean
  /** Where today lies, percent of the ribbons; null where it is not shown. */
  readonly now: number | null
  readonly head: React.ReactNode
  readonly children: (line: SeasonLine) => React.ReactNode
}

/** A long list of which only what is on the screen is drawn. */
export function SeasonList({ lines, whole, now, head, children }: SeasonListProps) {
  const t = useTexts()

  const box = useRef<HTMLDivElement>(null)
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoised on what it returns
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: whole ? lines.length : OVERSCAN,
    // the first drawing on the server has no height to go by
    initialRect: { width: 1200, height: 600 },
  })
  useEffect(() => virtual.measure(), [virtual, lines])
  return (
    <div
      ref={box}
      className="season sheet p-2"
      role="region"
      aria-label={t('season.seasonList.seasonRibbons')}
      tabIndex={0}
    >
      <div className="season-inside">
        {now === null ? null : <span className="season-now" style={{ '--at': now / 100 } as CSSProperties} />}
        <div className="season-head">{head}</div>
        {whole ? (
          sheetsOf(lines).map((sheet, i) => (
            <div key={i} className="season-paper">
              {i > 0 ? head : null}
              {sheet.map((line, n) => (
                <div key={n}>{children(line)}</div>
              ))}
            </div>
          ))
        ) : (
          <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
            {virtual.getVirtualItems().map((item) => (
              <div
                key={item.key}
                style={{
                  position: 'absolute',
                  top: 0,
                  left: 0,
                  right: 0,
                  height: ROW_PX,
                  transform: `translateY(${item.start}px)`,
                }}
              >
                {children(lines[item.index]!)}
              </div>
            ))}
          </div>
        )}
      </div>
    </div>
  )
}
