'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { SERVICE_KINDS, type ServiceKind, type SiteObject } from '@/core/site-plan/site-survey'
import type { Point } from '@/core/survey/point'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { orNaN } from '@/ui/or-nan'

interface ObjectFieldsProps {
  readonly object: SiteObject
  readonly onChange: (object: SiteObject, what: string) => void
  readonly errorOf: (path: string) => string | undefined
}

/** The picked object's own figures; its place is given by the plan, and by numbers for those who taped it. */
export function ObjectFields({ object, onChange, errorOf }: ObjectFieldsProps) {
  return (
    <div className="field-grid">
      <OwnFields object={object} onChange={onChange} errorOf={errorOf} />
      {'at' in object ? (
        <PlaceFields at={object.at} onChange={(at, what) => onChange({ ...object, at }, what)} errorOf={errorOf} />
      ) : null}
    </div>
  )
}

/** The one length that an object has beside its place, and what it is called; null where it has none. */
function figureOf(object: SiteObject) {
  switch (object.kind) {
    case 'tree':
      return { key: 'crownM', label: textId('sitePlan.fields.crown'), value: object.crownM } as const
    case 'access':
      return { key: 'widthM', label: textId('sitePlan.fields.narrowest'), value: object.widthM } as const
    case 'spot-level':
      return { key: 'levelM', label: textId('sitePlan.fields.level'), value: object.levelM } as const
    case 'service':
      return { key: 'clearM', label: textId('sitePlan.fields.clearance'), value: object.clearM } as const
    default:
      return null
  }
}

function OwnFields({ object, onChange, errorOf }: ObjectFieldsProps) {
  const t = useTexts()
  const figure = figureOf(object)
  if (!figure) return null
  return (
    <>
      {object.kind === 'service' ? (
        <ChoiceField
          label={t('sitePlan.fields.service')}
          value={object.service}
          onChange={(e) => onChange({ ...object, service: e.target.value as ServiceKind }, '')}
          options={SERVICE_KINDS.map((value) => ({ value, label: t(`sitePlan.services.${value}`) }))}
        />
      ) : null}
      <QuantityField
        label={t(figure.label)}
        kind="length"
        value={figure.value}
        onChange={(v) => onChange({ ...object, [figure.key]: orNaN(v) }, figure.key)}
        error={errorOf(figure.key)}
      />
    </>
  )
}

interface PlaceFieldsProps {
  readonly at: Point
  readonly onChange: (at: Point, what: string) => void
  readonly errorOf: (path: string) => string | undefined
}

/** A place by its figures in the survey. */
export function PlaceFields({ at, onChange, errorOf }: PlaceFieldsProps) {
  const t = useTexts()
  return (
    <>
      <QuantityField
        label={t('sitePlan.fields.along')}
        kind="length"
        value={at.xM}
        onChange={(v) => onChange({ ...at, xM: orNaN(v) }, 'along')}
        error={errorOf('at.xM')}
      />
      <QuantityField
        label={t('sitePlan.fields.across')}
        kind="length"
        value={at.yM}
        onChange={(v) => onChange({ ...at, yM: orNaN(v) }, 'across')}
        error={errorOf('at.yM')}
      />
    </>
  )
}
