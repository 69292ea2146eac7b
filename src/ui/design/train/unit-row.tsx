'use client'
import { isInline, isSkimmer, type TrainLine, type TrainUnit } from '@/core/filter/train/train-unit'
import { UNIT_FACTS } from '@/core/filter/train/unit-facts'
import type { UnitResult } from '@/core/filter/train/evaluate-train'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { Icon } from '@/ui/kit/icon'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { orNaN } from '@/ui/or-nan'
import { UnitFigures } from './unit-figures'

interface UnitRowProps {
  readonly unit: TrainUnit
  readonly worked: UnitResult | undefined
  readonly first: boolean
  readonly last: boolean
  readonly onChange: (next: Partial<TrainUnit>) => void
  readonly onMove: (by: 1 | -1) => void
  readonly onRemove: () => void
  readonly errorOf: (field: keyof TrainUnit) => string | undefined
}

/** One unit of the train: where it stands, its size, and what it does at its flow. */
export function UnitRow(row: UnitRowProps) {
  const { unit, worked, onChange, errorOf } = row
  const t = useTexts()
  const { lines } = UNIT_FACTS[unit.kind]
  return (
    <div className="design-row" data-unit={unit.kind}>
      <UnitHead {...row} />
      <div className="field-grid">
        {lines.length > 1 ? (
          <ChoiceField
            label={t('train.page.line')}
            value={unit.line}
            onChange={(e) => onChange({ line: e.target.value as TrainLine })}
            options={lines.map((line) => ({ value: line, label: t(`train.lines.${line}`) }))}
            error={errorOf('line')}
          />
        ) : null}
        <UnitFields unit={unit} onChange={onChange} errorOf={errorOf} />
      </div>
      {isInline(unit) && !isSkimmer(unit.kind) ? (
        <CheckField
          label={t('train.page.overflow')}
          checked={unit.overflow}
          onChange={(overflow) => onChange({ overflow })}
        />
      ) : null}
      {worked ? <UnitFigures worked={worked} /> : null}
    </div>
  )
}

function UnitHead({ unit, first, last, onMove, onRemove }: UnitRowProps) {
  const t = useTexts()
  const name = t(`design.trainNames.${unit.kind}`)
  return (
    <div className="d-flex gap-2 align-items-center">
      <strong>{name}</strong>
      <span className="soft small">{t(`train.lines.${unit.line}`)}</span>
      <span className="ms-auto btn-group btn-group-sm">
        <button
          type="button"
          className="btn btn-outline-secondary"
          aria-label={t('train.page.earlier', { name })}
          disabled={first}
          onClick={() => onMove(-1)}
        >
          <Icon name="arrow-up" />
        </button>
        <button
          type="button"
          className="btn btn-outline-secondary"
          aria-label={t('train.page.later', { name })}
          disabled={last}
          onClick={() => onMove(1)}
        >
          <Icon name="arrow-down" />
        </button>
        <button
          type="button"
          className="btn btn-outline-secondary"
          aria-label={t('train.page.remove', { name })}
          onClick={onRemove}
        >
          <Icon name="x-lg" />
        </button>
      </span>
    </div>
  )
}

/** What of a unit's figures its kind has. */
function UnitFields({ unit, onChange, errorOf }: Pick<UnitRowProps, 'unit' | 'onChange' | 'errorOf'>) {
  const t = useTexts()
  const show = useShow()
  const facts = UNIT_FACTS[unit.kind]
  const flowLabel = () => {
    if (unit.kind === 'aerator') return t('train.page.airFlow')
    return unit.line === 'side' ? t('train.page.ownFlow') : t('train.page.ratedFlow')
  }
  return (
    <>
      <QuantityField
        label={flowLabel()}
        kind="flow"
        value={unit.ratedFlowM3PerH}
        onChange={(v) => onChange({ ratedFlowM3PerH: orNaN(v) })}
        error={errorOf('ratedFlowM3PerH')}
      />
      {facts.mediaM2PerL > 0 ? (
        <QuantityField
          label={t('train.page.media')}
          kind="volume"
          scale="small"
          value={unit.mediaL / 1000}
          onChange={(v) => onChange({ mediaL: orNaN(v) * 1000 })}
          error={errorOf('mediaL')}
        />
      ) : null}
      {unit.kind === 'trickle-tower' ? (
        <QuantityField
          label={t('train.page.towerHeight')}
          kind="length"
          value={unit.heightM}
          onChange={(v) => onChange({ heightM: orNaN(v) })}
          error={errorOf('heightM')}
        />
      ) : null}
      {isSkimmer(unit.kind) ? (
        <QuantityField
          label={t('train.page.mouth')}
          kind="length"
          scale="small"
          value={unit.weirM}
          onChange={(v) => onChange({ weirM: orNaN(v) })}
          error={errorOf('weirM')}
        />
      ) : null}
      {facts.meshUm > 0 ? (
        <QuantityField
          label={t('train.page.mesh')}
          kind="number"
          value={unit.meshUm}
          onChange={(v) => onChange({ meshUm: orNaN(v) })}
          error={errorOf('meshUm')}
        />
      ) : null}
      {unit.kind === 'uv' ? (
        <QuantityField
          label={t('train.page.lampPower')}
          kind="number"
          value={unit.lampW}
          onChange={(v) => onChange({ lampW: orNaN(v) })}
          error={errorOf('lampW')}
        />
      ) : null}
      {facts.clearanceM > 0 ? (
        <QuantityField
          label={t('train.page.clearance')}
          kind="length"
          scale="small"
          optional
          value={unit.clearanceM}
          hint={t('train.page.clearanceHint', { needed: show(facts.clearanceM, 'length', { scale: 'small' }) })}
          onChange={(v) => onChange({ clearanceM: v })}
          error={errorOf('clearanceM')}
        />
      ) : null}
    </>
  )
}
