'use client'
import { Icon } from './icon'
import { useTexts } from './texts'

/** The field that narrows a list down while it is typed in. */
export function SearchField(props: {
  readonly label: string
  readonly placeholder: string
  readonly value: string
  readonly onValue: (value: string) => void
}) {
  const { label, placeholder, value, onValue } = props
  return (
    <span className="search-field">
      <Icon name="funnel" />
      <input
        className="form-control form-control-sm"
        type="search"
        aria-label={label}
        placeholder={placeholder}
        value={value}
        onChange={(e) => onValue(e.target.value)}
      />
    </span>
  )
}

interface FilterChipsProps<Key extends string> {
  /** What is chosen by them, spoken. */
  readonly name: string
  readonly chips: readonly { readonly key: Key; readonly label: string; readonly count: number }[]
  readonly chosen: Key
  readonly onChoose: (key: Key) => void
}

/** Filters that are one press away, each with how many rows it leaves; those that leave none are not offered. */
export function FilterChips<Key extends string>({ name, chips, chosen, onChoose }: FilterChipsProps<Key>) {
  const t = useTexts()

  return (
    <div className="filter-chips no-print" role="group" aria-label={name}>
      {chips
        .filter(({ key, count }) => count > 0 || key === chosen)
        .map(({ key, label, count }) => (
          <button
            key={key}
            type="button"
            className="btn btn-sm"
            aria-pressed={key === chosen}
            onClick={() => onChoose(key)}
          >
            {t('kit.table.chip', { label, count })}
          </button>
        ))}
    </div>
  )
}
