'use client'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { useState } from 'react'
import {
  AS_IT_IS,
  MAX_OPTIONS,
  newOption,
  nextTime,
  type WhatIfOption,
  type WhatIfInput,
} from '@/domain/forecasts/what-if'
import { USUAL_EVENT, type WhatIfEvent } from '@/domain/forecasts/what-if-events'
import type { WhatIfPageData } from '@/server/forecasts/what-ifs'
import { WHAT_IF_TEMPLATES } from '@/domain/forecasts/what-if-templates'

const USUAL_MEMBERS = 60

const templateOf = (
  asked: string,
  { today, built, model }: Pick<WhatIfPageData, 'today' | 'built' | 'model'>,
  t: Texts,
): WhatIfInput => {
  const { key, season, days, start, options } =
    WHAT_IF_TEMPLATES.find((template) => template.key === asked) ?? WHAT_IF_TEMPLATES[0]!
  return {
    name: t(`forecasts.templateNames.${key}`),
    from: season === 'built' ? (built ?? nextTime('04-20', today, model)) : nextTime(season, today, model),
    days,
    start: start ?? 'settled',
    members: USUAL_MEMBERS,
    options: options.map(({ option, changes }) => newOption(t(`forecasts.templateOptions.${option}`), changes)),
  }
}

/** The what-if being composed: begun from a saved one, a template or a design, changed by the editors. */
export function useWhatIf(data: WhatIfPageData, saved?: string, begin?: string) {
  const t = useTexts()

  const [whatIf, setWhatIf] = useState<WhatIfInput>(() => {
    const kept = data.saved.find((s) => s.id === saved)
    if (kept) return kept.whatIf
    const filter = data.model?.filters.find((f) => f.key === begin && f.key !== AS_IT_IS)
    if (filter)
      return {
        ...templateOf('bigger', data, t),
        name: filter.name,
        options: [newOption(t('forecasts.useWhatIf.asItIs')), newOption(filter.name, { filter: filter.key })],
      }
    return templateOf(begin ?? 'staged', data, t)
  })
  /** Ready-made question it was begun from; '' for one of the firm's own. */
  const [template, setTemplate] = useState(() => {
    if (data.saved.some((s) => s.id === saved)) return ''
    if (WHAT_IF_TEMPLATES.some((template) => template.key === begin)) return begin!
    if (begin) return ''
    return 'staged'
  })
  const [chosen, setChosen] = useState(0)
  /** Counts the questions that were begun or opened: each is answered at once. */
  const [begun, setBegun] = useState(0)
  const change = (changes: Partial<WhatIfInput>) => setWhatIf((w) => ({ ...w, ...changes }))
  const changeOption = (index: number, changes: Partial<WhatIfOption>) =>
    setWhatIf((w) => ({
      ...w,
      options: w.options.map((option, i) => (i === index ? { ...option, ...changes } : option)),
    }))
  const changeEvents = (index: number, events: (before: readonly WhatIfEvent[]) => WhatIfEvent[]) =>
    setWhatIf((w) => ({
      ...w,
      options: w.options.map((option, i) => (i === index ? { ...option, events: events(option.events) } : option)),
    }))
  return {
    whatIf,
    chosen: Math.min(chosen, whatIf.options.length - 1),
    choose: setChosen,
    change,
    changeOption,
    template,
    begun,
    begin: (template: string) => {
      setTemplate(template)
      setBegun(begun + 1)
      setWhatIf({ ...templateOf(template, data, t), members: whatIf.members })
      setChosen(0)
    },
    open: (kept: WhatIfInput) => {
      setTemplate('')
      setBegun(begun + 1)
      setWhatIf(kept)
      setChosen(0)
    },
    addOption: () => {
      if (whatIf.options.length >= MAX_OPTIONS) return
      setWhatIf((w) => ({
        ...w,
        options: [
          ...w.options,
          { ...w.options[w.options.length - 1]!, name: t('forecasts.useWhatIf.way', { count: w.options.length + 1 }) },
        ],
      }))
      setChosen(whatIf.options.length)
    },
    removeOption: (index: number) =>
      setWhatIf((w) => (w.options.length === 1 ? w : { ...w, options: w.options.filter((_, i) => i !== index) })),
    addEvent: (index: number, kind: WhatIfEvent['kind']) =>
      changeEvents(index, (before) => [
        ...before,
        { ...USUAL_EVENT[kind], day: Math.min(whatIf.days - 1, (before.at(-1)?.day ?? 0) + 5) } as WhatIfEvent,
      ]),
    changeEvent: (index: number, at: number, event: WhatIfEvent) =>
      changeEvents(index, (before) => before.map((e, i) => (i === at ? event : e))),
    removeEvent: (index: number, at: number) => changeEvents(index, (before) => before.filter((_, i) => i !== at)),
  }
}
export type WhatIfState = ReturnType<typeof useWhatIf>
