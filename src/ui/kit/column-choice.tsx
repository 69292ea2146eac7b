'use client'
import { useEffect, useState, type ReactNode } from 'react'
import Dropdown from 'react-bootstrap/Dropdown'
import Form from 'react-bootstrap/Form'
import { useTexts } from './texts'

interface Choosable {
  readonly key: string
  readonly label: ReactNode
  readonly extra?: boolean
}

export interface ShownColumns {
  readonly isShown: (key: string) => boolean
  readonly toggle: (key: string) => void
}

const keyOf = (name: string) => `slow-reed:columns:${name}`

/** The columns chosen on this device; those that are not extra until someone chose. @param name null: nobody chooses */
export function useShownColumns(name: string | null, columns: readonly Choosable[]): ShownColumns {
  const [chosen, setChosen] = useState<readonly string[] | null>(null)
  useEffect(() => {
    const kept = name === null ? null : window.localStorage.getItem(keyOf(name))
    // only the browser knows what this device remembers
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (kept) setChosen(kept.split(','))
  }, [name])
  const shown = chosen ?? columns.filter((c) => !c.extra).map((c) => c.key)
  return {
    isShown: (key) => name === null || shown.includes(key),
    toggle: (key) => {
      const next = shown.includes(key) ? shown.filter((k) => k !== key) : [...shown, key]
      // a table without columns says nothing
      if (next.length === 0 || name === null) return
      window.localStorage.setItem(keyOf(name), next.join(','))
      setChosen(next)
    },
  }
}

/** The list from which columns are chosen. */
export function ColumnChoice({ columns, choice }: { columns: readonly Choosable[]; choice: ShownColumns }) {
  const t = useTexts()

  return (
    <Dropdown align="end" autoClose="outside" className="column-choice no-print">
      <Dropdown.Toggle variant="link" size="sm">
        {t('kit.table.columns')}
      </Dropdown.Toggle>
      <Dropdown.Menu className="px-3">
        {columns.map(({ key, label }) => (
          <Form.Check
            key={key}
            id={`column-${key}`}
            label={label}
            checked={choice.isShown(key)}
            onChange={() => choice.toggle(key)}
          />
        ))}
      </Dropdown.Menu>
    </Dropdown>
  )
}
