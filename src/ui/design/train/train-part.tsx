'use client'
import { useTexts } from '@/ui/kit/texts'
import { newUnit } from '@/core/filter/train/new-unit'
import { TRAIN_KINDS, type TrainKind, type TrainUnit } from '@/core/filter/train/train-unit'
import { ChoiceField } from '@/ui/kit/choice-field'
import { SheetPicture } from '@/ui/drawing/sheet-picture'
import type { DesignPart } from '../use-design'
import { useSheet } from '../parts/use-sheet'
import { IntakeLine } from './intake-line'
import { SkimmerChooser } from './skimmer-chooser'
import { OutageTable } from './outage-table'
import { TrainTotals } from './train-totals'
import { UnitRow } from './unit-row'

const FRAME = { widthPx: 860, heightPx: 220, marginPx: 12 }

/** The filter train: a diagram with its flows, unit by unit in the order of the water, and what follows from it. */
export function TrainPart(part: DesignPart) {
  const { data, bed, shown, set, errorOf } = part
  const t = useTexts()
  const sheet = useSheet(part, 'flow')
  const { result } = shown
  const add = (kind: TrainKind) =>
    set({
      train: [...bed.train, newUnit(kind, { flowM3PerH: result.flowM3PerH, pondM3: data.designPond.volumeM3 })],
    })
  const change = (index: number, next: Partial<TrainUnit>) =>
    set({ train: bed.train.map((unit, i) => (i === index ? { ...unit, ...next } : unit)) }, `train${index}`)
  const move = (from: number, to: number) => {
    const train = bed.train.filter((_, i) => i !== from)
    set({ train: train.toSpliced(to, 0, bed.train[from]!) })
  }
  return (
    <>
      <section className="sheet">
        <h2>{t('train.page.title')}</h2>
        {sheet ? <SheetPicture sheet={sheet} frame={FRAME} name={t('train.page.drawing')} /> : null}
        {bed.train.length === 0 ? <p className="soft">{t('train.page.empty')}</p> : null}
        {bed.train.map((unit, i) => (
          <UnitRow
            key={i}
            unit={unit}
            // while a field is half typed, the figures are those of the design before
            worked={shown.bed.train.length === bed.train.length ? result.train.units[i] : undefined}
            first={i === 0}
            last={i === bed.train.length - 1}
            onChange={(next) => change(i, next)}
            onMove={(by) => move(i, i + by)}
            onRemove={() => set({ train: bed.train.filter((_, n) => n !== i) })}
            errorOf={(field) => errorOf(`train.${i}.${field}`)}
          />
        ))}
        <ChoiceField
          label={t('train.page.add')}
          value=""
          onChange={(e) => e.target.value && add(e.target.value as TrainKind)}
          options={[
            { value: '', label: t('train.page.choose') },
            ...TRAIN_KINDS.map((kind) => ({ value: kind, label: t(`design.trainNames.${kind}`) })),
          ]}
        />
      </section>
      {bed.train.length > 0 ? <TrainTotals result={result} /> : null}
      <SkimmerChooser {...part} />
      <IntakeLine {...part} />
      <OutageTable design={shown.bed} wetShare={result.stop.wetShare} />
    </>
  )
}
