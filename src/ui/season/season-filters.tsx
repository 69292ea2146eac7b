'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { WINDOW_JOBS } from '@/core/season/house-rules'
import type { SeasonPageData } from '@/server/season/season-view'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { SHOW_NAMES, SHOWS, SORT_NAMES, SORTS, type Show, type Sort } from './season-rows'

export interface SeasonFilter {
  readonly text: string
  readonly sort: Sort
  readonly show: Show
  readonly grouped: boolean
}

interface SeasonFiltersProps {
  readonly data: SeasonPageData
  readonly filter: SeasonFilter
  readonly onFilter: (filter: SeasonFilter) => void
  /** Ponds that the filter leaves. */
  readonly found: number
}

/** Whose ribbons are shown, in which order, with which job's windows. */
export function SeasonFilters({ data, filter, onFilter, found }: SeasonFiltersProps) {
  const t = useTexts()
  const router = useRouter()
  const set = (change: Partial<SeasonFilter>) => onFilter({ ...filter, ...change })
  return (
    <div className="d-flex flex-wrap gap-2 align-items-end mb-2 no-print">
      <ChoiceField
        label={t('season.seasonView.windowShown')}
        value={data.job}
        onChange={(e) => router.push(`/season?year=${data.year}&job=${e.target.value}`)}
        options={WINDOW_JOBS.map((job) => ({ value: job, label: t(`season.jobNames.${job}`) }))}
      />
      <TextField
        label={t('season.seasonView.find')}
        placeholder={t('season.seasonView.siteCustomerTown')}
        value={filter.text}
        onChange={(e) => set({ text: e.target.value })}
      />
      <ChoiceField
        label={t('season.seasonView.show')}
        value={filter.show}
        onChange={(e) => set({ show: e.target.value as Show })}
        options={SHOWS.map((s) => ({ value: s, label: t(SHOW_NAMES[s]) }))}
      />
      <ChoiceField
        label={t('season.seasonView.order')}
        value={filter.sort}
        onChange={(e) => set({ sort: e.target.value as Sort })}
        options={SORTS.map((s) => ({ value: s, label: t(SORT_NAMES[s]) }))}
      />
      <CheckField
        label={t('season.seasonView.town')}
        checked={filter.grouped}
        onChange={(grouped) => set({ grouped })}
      />
      <span className="soft ms-auto">{t('season.seasonView.ponds', { count: found, count2: data.rows.length })}</span>
    </div>
  )
}
