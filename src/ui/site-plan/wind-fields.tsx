'use client'
import { useTexts } from '@/ui/kit/texts'
import type { SiteSurvey } from '@/core/site-plan/site-survey'
import { QuantityField } from '@/ui/kit/quantity-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { orNaN } from '@/ui/or-nan'

/** Eight points of the compass, degrees clockwise from north. */
const POINTS = ['n', 'ne', 'e', 'se', 's', 'sw', 'w', 'nw'] as const

interface WindFieldsProps {
  readonly survey: SiteSurvey
  readonly onChange: (part: Partial<SiteSurvey>, what: string) => void
  readonly errorOf: (path: string) => string | undefined
}

/** Where north is on the plan, and where the usual wind comes from. */
export function WindFields({ survey, onChange, errorOf }: WindFieldsProps) {
  const t = useTexts()
  const { windFromDeg } = survey
  return (
    <fieldset>
      <legend>{t('sitePlan.survey.northWind')}</legend>
      <div className="field-grid">
        <QuantityField
          label={t('sitePlan.fields.north')}
          kind="number"
          value={survey.northDeg}
          onChange={(v) => onChange({ northDeg: orNaN(v) }, 'north')}
          error={errorOf('northDeg')}
        />
        <ChoiceField
          label={t('sitePlan.fields.windFrom')}
          value={windFromDeg === null ? '' : POINTS[Math.round(windFromDeg / 45) % 8]!}
          onChange={(e) =>
            onChange(
              {
                windFromDeg:
                  e.target.value === '' ? null : POINTS.indexOf(e.target.value as (typeof POINTS)[number]) * 45,
              },
              '',
            )
          }
          options={[
            { value: '', label: t('sitePlan.fields.notKnown') },
            ...POINTS.map((value) => ({ value, label: t(`sitePlan.compass.${value}`) })),
          ]}
        />
      </div>
    </fieldset>
  )
}
