'use client'
import { useState, type ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import { useTexts } from '@/ui/kit/texts'

const FEW = 6

/** A list that shows its first lines; the rest on request, so that what stands below it is not pushed away. */
export function FewFirst<Item>({ items, line }: { items: readonly Item[]; line: (item: Item) => ReactNode }) {
  const t = useTexts()
  const [all, setAll] = useState(false)
  // one more line is no longer than the button that would hide it
  const shown = all || items.length <= FEW + 1 ? items : items.slice(0, FEW)
  return (
    <>
      <ul className="plain-list">{shown.map(line)}</ul>
      {shown.length < items.length ? (
        <Button size="sm" variant="outline-secondary" onClick={() => setAll(true)}>
          {t('today.todayView.showMore', { count: items.length - shown.length })}
        </Button>
      ) : null}
    </>
  )
}
