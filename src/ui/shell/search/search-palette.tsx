'use client'
import { Command } from 'cmdk'
import { usePathname, useRouter } from 'next/navigation'
import { useState } from 'react'
import Modal from 'react-bootstrap/Modal'
import { useTexts } from '@/ui/kit/texts'
import { type Entry, GROUPS, useHits, useOwnEntries } from './search-entries'

interface PaletteProps {
  readonly onClose: () => void
  readonly onShortcuts: () => void
}

/** Search and commands: what is typed finds ponds, visits, customers and all the rest, pages and actions with them. */
export function SearchPalette({ onClose, onShortcuts }: PaletteProps) {
  const t = useTexts()

  const [q, setQ] = useState('')
  const [pick, setPick] = useState('')
  const router = useRouter()
  const path = usePathname()
  const own = useOwnEntries(q, onShortcuts)
  const { entries: found, looking, failed } = useHits(q)
  const entries = [...found, ...own]
  const listed = GROUPS.flatMap(({ group }) => entries.filter((entry) => entry.group === group))
  // answers come after the keys: what was picked may be gone, and Enter still has to open something
  const picked = listed.some((entry) => entry.key === pick) ? pick : (listed[0]?.key ?? '')
  const choose = (entry: Entry) => {
    onClose()
    if (entry.act) entry.act()
    else if (entry.href && entry.href !== path) router.push(entry.href)
  }
  return (
    <Modal
      show
      onHide={onClose}
      animation={false}
      dialogClassName="palette"
      aria-label={t('search.palette.searchAndCommands')}
    >
      <Command
        shouldFilter={false}
        loop
        value={picked}
        onValueChange={setPick}
        label={t('search.palette.searchAndCommands')}
      >
        <Command.Input
          autoFocus
          value={q}
          onValueChange={setQ}
          placeholder={t('search.palette.placeholder')}
          className="form-control"
        />
        <Command.List label={t('search.palette.searchAndCommands')}>
          {GROUPS.map(({ group, label }) => {
            const inGroup = listed.filter((entry) => entry.group === group)
            if (inGroup.length === 0) return null
            return (
              <Command.Group key={group} heading={t(label)}>
                {inGroup.map((entry) => (
                  <Command.Item key={entry.key} value={entry.key} onSelect={() => choose(entry)}>
                    <span>{entry.title}</span> <span className="soft small">{entry.detail}</span>
                  </Command.Item>
                ))}
              </Command.Group>
            )
          })}
        </Command.List>
        <p className="palette-state small soft" role="status">
          {failed ? t('search.palette.failed') : null}
          {looking ? t('search.palette.looking') : null}
          {!failed && !looking && q.trim() !== '' && entries.length === 0 ? t('search.palette.nothing', { q }) : null}
        </p>
      </Command>
    </Modal>
  )
}
