'use client'
import Link from 'next/link'
import { useMemo } from 'react'
import { isSkimmer } from '@/core/filter/train/train-unit'
import { skimmerChoices, withSkimmers, type SkimmerChoice } from '@/core/filter/train/skimmer-choice'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import type { DesignPart } from '../use-design'

/** Which skimmers the pond could have: how each kind goes with what seals it, how many, and what they leave. */
export function SkimmerChooser({ data, bed, shown, set }: DesignPart) {
  const t = useTexts()
  const show = useShow()
  const { designPond, pond } = data
  const deepestM = useMemo(() => savedPondFacts(pond).basin.maxDepthM, [pond])
  const { flowM3PerH } = shown.result
  const choices = skimmerChoices(designPond, shown.bed, flowM3PerH, deepestM)
  const fitted = bed.train.filter(({ kind }) => isSkimmer(kind))
  return (
    <section className="sheet" aria-label={t('skimmers.chooser.title')}>
      <h2>{t('skimmers.chooser.title')}</h2>
      <p className="soft">
        {t('skimmers.chooser.intro', {
          lining: t(`ponds.liningNames.${designPond.lining}`).toLowerCase(),
          area: show(designPond.areaM2, 'area'),
        })}
      </p>
      {designPond.lining === 'unknown' ? (
        <p>
          {t('skimmers.chooser.setLining')}{' '}
          <Link href={`/ponds/${pond.id}/survey`}>{t('skimmers.chooser.editSurvey')}</Link>
        </p>
      ) : null}
      <div className="table-responsive" tabIndex={0} role="region" aria-label={t('skimmers.chooser.title')}>
        <table className="table table-sm of-sentences align-top mb-2" style={{ minWidth: '40rem' }}>
          <thead>
            <tr>
              {(['kind', 'suits', 'needs', 'parts', 'leaves'] as const).map((head) => (
                <th key={head}>{t(`skimmers.chooser.${head}`)}</th>
              ))}
              <th />
            </tr>
          </thead>
          <tbody>
            {choices.map((choice) => (
              <ChoiceRow
                key={choice.kind}
                choice={choice}
                flowM3PerH={flowM3PerH}
                chosen={fitted.length === choice.count && fitted.every(({ kind }) => kind === choice.kind)}
                onChoose={() => set({ train: withSkimmers(bed.train, choice) })}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft small mb-0">{t('skimmers.chooser.floor')}</p>
    </section>
  )
}

interface ChoiceRowProps {
  readonly choice: SkimmerChoice
  readonly flowM3PerH: number
  readonly chosen: boolean
  readonly onChoose: () => void
}

function ChoiceRow({ choice, flowM3PerH, chosen, onChoose }: ChoiceRowProps) {
  const t = useTexts()
  const show = useShow()
  const { kind, fit, reason, parts, count, unit, sinksKgPerYear } = choice
  const name = t(`design.trainNames.${kind}`)
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>
        <strong>{t(`skimmers.fit.${fit}`)}</strong>
        <br />
        {t(`skimmers.reasons.${reason}`)}
      </td>
      <td>
        {t('skimmers.chooser.number', { count, mouth: show(unit.weirM, 'length', { scale: 'small' }) })}
        <br />
        <Draw choice={choice} flowM3PerH={flowM3PerH} />
      </td>
      <td>{parts.map((part) => t(`skimmers.partNames.${part}`)).join(', ') || '–'}</td>
      <td>{t('skimmers.chooser.perYear', { mass: show(sinksKgPerYear, 'mass') })}</td>
      <td className="text-end">
        {chosen ? (
          <span className="soft">{t('skimmers.chooser.chosen')}</span>
        ) : (
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            aria-label={t('skimmers.chooser.chooseOne', { name })}
            disabled={fit === 'no'}
            onClick={onChoose}
          >
            {t('skimmers.chooser.choose')}
          </button>
        )}
      </td>
    </tr>
  )
}

/** Flow that the mouths want and take, and whether the pump brings it. */
function Draw({ choice: { unit, drawM3PerH }, flowM3PerH }: Pick<ChoiceRowProps, 'choice' | 'flowM3PerH'>) {
  const t = useTexts()
  const show = useShow()
  const [least, most] = drawM3PerH
  if (unit.line !== 'intake') return t('skimmers.chooser.ownFlow')
  const flow = show(flowM3PerH, 'flow')
  return (
    <>
      {t('skimmers.chooser.draw', { least: show(least, 'flow'), most: show(most, 'flow') })}
      {flowM3PerH < least ? <div>{t('skimmers.chooser.pumpShort', { flow })}</div> : null}
    </>
  )
}
