'use client'
import { useState } from 'react'
import { readingQuantity } from '@/domain/water/reading-names'
import { THEMES } from '@/domain/people/people'
import { useShow } from '@/ui/person-context'
import { CheckField } from '../check-field'
import { ChoiceField } from '../choice-field'
import { useConfirm } from '../confirm'
import { DataTable } from '../data-table'
import { Icon } from '../icon'
import { ICON_NAMES } from '../icon-names'
import { FilterChips, SearchField } from '../list-filters'
import { ProblemNote } from '../problem-note'
import { QuantityField } from '../quantity-field'
import { TextField } from '../text-field'
import { textId, useTexts } from '../texts'
import { useToast } from '../toasts'
import { Unfold } from '../unfold'
import { Why } from '../why'

const THEME_NAMES = {
  light: textId('shell.accountMenu.light'),
  dark: textId('shell.accountMenu.dark'),
  sun: textId('shell.accountMenu.sun'),
} as const
const BANDS = ['fine', 'watch', 'act', 'emergency'] as const
const ROWS = [
  { kind: 'tan', value: 0.14, band: 'fine' },
  { kind: 'nitrite', value: 0.52, band: 'act' },
] as const

/** Every part of the kit in each theme; on paper all of them are black on white. */
export function Showcase() {
  const t = useTexts()

  return (
    <main id="main">
      {THEMES.map((theme) => (
        <section key={theme} data-bs-theme={theme} className="sheet" aria-label={t(THEME_NAMES[theme])}>
          <h2>{t(THEME_NAMES[theme])}</h2>
          <Parts />
        </section>
      ))}
    </main>
  )
}

function Parts() {
  return (
    <div className="columns two">
      <div>
        <Presses />
        <Fields />
      </div>
      <div>
        <Lists />
        <Notes />
      </div>
    </div>
  )
}

/** What is pressed: buttons, icons, questions and notes in passing. */
function Presses() {
  const t = useTexts()

  const confirm = useConfirm()
  const tell = useToast()
  return (
    <>
      <p className="d-flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={() => tell({ words: t('kit.toasts.undone') })}>
          {t('rounds.moveVisit.moveVisit')}
        </button>
        <button type="button" className="btn btn-outline-primary">
          {t('kit.toasts.undo')}
        </button>
        <button type="button" className="btn btn-outline-secondary" disabled>
          {t('kit.toasts.dismiss')}
        </button>
        <button
          type="button"
          className="btn btn-outline-danger"
          onClick={() =>
            void confirm({ words: t('shell.pageChange.notSaved'), goOn: t('shell.pageChange.leave'), danger: true })
          }
        >
          {t('shell.pageChange.leave')}
        </button>
      </p>
      <p className="d-flex flex-wrap gap-2">
        {ICON_NAMES.map((name) => (
          <Icon key={name} name={name} />
        ))}
      </p>
    </>
  )
}

/** What is filled in, in order and with something wrong. */
function Fields() {
  const t = useTexts()

  const [depthM, setDepthM] = useState<number | null>(1.2)
  const [ticked, setTicked] = useState(true)
  return (
    <div className="field-grid">
      <TextField label={t('customers.customerForm.name')} defaultValue="" />
      <TextField label={t('customers.customerForm.eMail')} error={t('kit.confirm.question')} defaultValue="" />
      <ChoiceField
        label={t('shell.accountMenu.theme')}
        options={THEMES.map((value) => ({ value, label: t(THEME_NAMES[value]) }))}
      />
      <QuantityField label={t('ponds.pondView.deepest')} kind="length" value={depthM} onChange={setDepthM} />
      <CheckField label={t('shell.accountMenu.sun')} checked={ticked} onChange={setTicked} />
    </div>
  )
}

/** Filters, a table, verdicts. */
function Lists() {
  const t = useTexts()

  const show = useShow()
  const [text, setText] = useState('')
  const [chosen, setChosen] = useState<(typeof BANDS)[number]>('fine')
  return (
    <>
      <SearchField
        label={t('water.readingsTable.test')}
        placeholder={t('water.readingsTable.test')}
        value={text}
        onValue={setText}
      />
      <FilterChips
        name={t('water.readingsTable.verdict')}
        chips={BANDS.map((key, i) => ({ key, label: t(`water.bandNames.${key}`), count: i + 1 }))}
        chosen={chosen}
        onChoose={setChosen}
      />
      <DataTable
        name={t('water.readingsTable.latest')}
        rows={ROWS}
        keyOf={({ kind }) => kind}
        columns={[
          {
            key: 'test',
            label: t('water.readingsTable.test'),
            value: ({ kind }) => kind,
            cell: ({ kind }) => t(`water.readingNames.${kind}`),
          },
          {
            key: 'result',
            label: t('water.readingsTable.result'),
            figure: true,
            cell: ({ kind, value }) => show(value, readingQuantity(kind)),
          },
          {
            key: 'verdict',
            label: t('water.readingsTable.verdict'),
            cell: ({ band }) => <span className={`verdict ${band}`}>{t(`water.bandNames.${band}`)}</span>,
          },
        ]}
      />
    </>
  )
}

/** What is said beside the work: why, what went wrong, what is folded away. */
function Notes() {
  const t = useTexts()

  return (
    <>
      <Why>{t('water.record.forecastBand')}</Why>
      <Unfold label={t('water.record.asTable')}>
        <p>{t('water.record.testsTable')}</p>
      </Unfold>
      <ProblemNote problem={{ kind: 'offline', title: '', status: 0 }} />
    </>
  )
}
