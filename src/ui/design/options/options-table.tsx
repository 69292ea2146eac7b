'use client'
import { bestIn, type Pick } from '@/core/filter/options/picks'
import type { FoundOption, Objective, WaterMeasure } from '@/core/filter/options/option-problem'
import { formatNumber } from '@/core/units/format'
import { money } from '@/domain/prices/pricing'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

interface OptionsTableProps {
  readonly front: readonly FoundOption[]
  readonly picks: readonly Pick[]
  readonly chosen: FoundOption | null
  readonly care: Exclude<Objective, 'price'>
  /** What the water is judged by at this pond. */
  readonly measure: WaterMeasure
  readonly currency: string
  readonly onOpen: (option: FoundOption) => void
}

/** The picked options, and the one that was chosen on the chart: what each is, costs and does, and why it is here. */
export function OptionsTable({ front, picks, chosen, care, measure, currency, onOpen }: OptionsTableProps) {
  const t = useTexts()
  const word = (objective: Objective) => (objective === 'water' ? measure : objective)
  const caredFor = care === 'water' ? measure : care
  const own = chosen && !picks.some(({ option }) => option === chosen) ? chosen : null
  const rows = [
    ...picks.map(({ option, reason, bestIn: best }) => ({
      option,
      name: t(`options.names.${reason === 'cared-for' ? caredFor : reason}`),
      best,
    })),
    ...(own ? [{ option: own, name: t('options.names.chosen'), best: bestIn(own, front) }] : []),
  ]
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={t('options.page.picks')}>
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">{t('options.columns.option')}</th>
            <th scope="col">{t('options.columns.filter')}</th>
            <th scope="col" className="text-end">
              {t('options.columns.price')}
            </th>
            <th scope="col" className="text-end">
              {t(`options.columns.${measure}`)}
            </th>
            <th scope="col" className="text-end">
              {t('options.columns.hours')}
            </th>
            <th scope="col" className="text-end">
              {t('options.columns.energy')}
            </th>
            <th scope="col">
              <span className="visually-hidden">{t('options.columns.open')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ option, name, best }) => (
            <OptionRow
              key={name}
              option={option}
              name={name}
              why={whyWords(option, best, rows[0]!.option, word, t)}
              currency={currency}
              onOpen={() => onOpen(option)}
            />
          ))}
        </tbody>
      </table>
    </div>
  )
}

interface OptionRowProps {
  readonly option: FoundOption
  readonly name: string
  readonly why: string
  readonly currency: string
  readonly onOpen: () => void
}

function OptionRow({ option: { design, objectives }, name, why, currency, onOpen }: OptionRowProps) {
  const t = useTexts()
  const show = useShow()
  const train = design.train.map((unit) => t(`design.trainNames.${unit.kind}`)).join(', ')
  return (
    <tr>
      <th scope="row">
        {name}
        <span className="soft d-block small fw-normal">{why}</span>
      </th>
      <td>
        {t(`design.filterTypeNames.${design.type}`)}, {show(design.lengthM, 'length')} × {show(design.widthM, 'length')}
        {design.vessels > 1 ? ` × ${design.vessels}` : ''}
        <span className="soft d-block small">{train || t('options.page.noTrain')}</span>
      </td>
      <td className="text-end">{money(Math.round(objectives.price / 100) * 100, currency)}</td>
      <td className="text-end">{show(objectives.water, 'concentration')}</td>
      <td className="text-end">{t('options.page.hours', { hours: formatNumber(objectives.hours) })}</td>
      <td className="text-end">{t('options.page.kwh', { energy: objectives.energy })}</td>
      <td>
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          aria-label={t('options.page.openNamed', { name })}
          onClick={onOpen}
        >
          {t('options.page.open')}
        </button>
      </td>
    </tr>
  )
}

/** Why an option is offered: what it is the best of all in, or what it has over the cheapest for what it costs more. */
function whyWords(
  option: FoundOption,
  best: readonly Objective[],
  cheapest: FoundOption,
  word: (objective: Objective) => Exclude<Objective, 'water'> | WaterMeasure,
  t: Texts,
): string {
  if (best.length > 0)
    return t('options.page.bestIn', { what: best.map((o) => t(`options.best.${word(o)}`)).join(', ') })
  const [own, least] = [option.objectives, cheapest.objectives]
  const better = (['water', 'hours', 'energy'] as const).filter((objective) => own[objective] < least[objective])
  return t('options.page.overCheapest', {
    more: Math.round((own.price / least.price - 1) * 100),
    what: better
      .map((objective) =>
        t('options.page.less', {
          share: Math.round((1 - own[objective] / least[objective]) * 100),
          what: t(`options.best.${word(objective)}`),
        }),
      )
      .join(', '),
  })
}
