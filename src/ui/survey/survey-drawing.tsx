'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import { fishLoad } from '@/core/fish/load'
import { pondFacts } from '@/domain/ponds/pond-facts'
import { basinProblemSaid } from '@/domain/survey/survey-problem'
import type { PondInput } from '@/domain/ponds/pond'
import { PondPlan } from '@/ui/drawing/pond-plan'
import { PondSection } from '@/ui/drawing/pond-section'
import { AdoptedVolume, VolumeEvidenceNote } from './volume-evidence-note'
import { usePlanHandles } from './use-plan-handles'
import { useShow } from '@/ui/person-context'
import { readSurvey, type SurveyFormValues, type VolumeTestValues } from './survey-form-values'
import { saidWords } from '@/messages/said'

const SUMMER_C = 20

/** The pond as drawn from what has been typed so far, or what is still missing for a drawing. */
export function SurveyDrawing({ values }: { values: SurveyFormValues }) {
  const t = useTexts()

  const handles = usePlanHandles(values)
  const show = useShow()
  const read = useMemo(() => surveyOnly(values, t), [values, t])
  const facts = useMemo(() => (read ? pondFacts(read) : null), [read])
  if (!facts) return <p className="soft">{t('survey.surveyDrawing.planSectionDrawnHere')}</p>
  if (!facts.ok)
    return (
      <div className="alert alert-warning" role="status">
        {saidWords(basinProblemSaid(facts.problem), t)}
      </div>
    )
  const { basin, adopted, evidence, setAside } = facts.value
  const fish = values.fish.flatMap((f) =>
    f.count && f.lengthM && f.count > 0 && f.count < 100_000 && f.lengthM >= 0.005 && f.lengthM <= 2
      ? [{ species: f.species, count: f.count, lengthM: f.lengthM }]
      : [],
  )
  const load = fishLoad(fish, SUMMER_C, 0.35)
  return (
    <>
      <PondPlan basin={basin} handles={handles} />
      <PondSection basin={basin} />
      <dl className="figures mt-2" aria-live="polite">
        <div>
          <dt>{t('survey.surveyDrawing.water')}</dt>
          <dd data-testid="adopted-volume">
            <AdoptedVolume adopted={adopted} />
          </dd>
        </div>
        <div>
          <dt>{t('survey.surveyDrawing.surface')}</dt>
          <dd>{show(basin.areaM2, 'area')}</dd>
        </div>
        <div>
          <dt>{t('survey.surveyDrawing.edge')}</dt>
          <dd>{show(basin.perimeterM, 'length')}</dd>
        </div>
        <div>
          <dt>{t('survey.surveyDrawing.fish')}</dt>
          <dd>{load.massKg > 0 ? show(load.massKg, 'mass') : 'none'}</dd>
        </div>
      </dl>
      <VolumeEvidenceNote
        evidence={evidence}
        adopted={adopted}
        setAside={setAside}
        why={read!.setAside?.reason}
        basin={basin}
        rockShare={read!.rockShare}
      />
    </>
  )
}

const whole = (test: VolumeTestValues): boolean => Object.values(test).every((value) => value !== null)

/** The shape alone needs no name and no fish: draw as early as possible. */
function surveyOnly(values: SurveyFormValues, t: Texts): PondInput | null {
  const read = readSurvey({
    ...values,
    name: values.name || t('survey.surveyDrawing.pond'),
    altitudeM: 0,
    fish: [],
    freeboardM: 0.08,
    notes: '',
    // what is half typed beside the shape does not take the drawing away
    streams: [],
    boxes: [],
    volumeTests: values.volumeTests.filter(whole),
    zones: values.zones.map((z, i) => ({ ...z, name: z.name || t('survey.surveyDrawing.zone', { i: i + 1 }) })),
  })
  return read.success ? read.data : null
}
