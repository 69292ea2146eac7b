'use client'
import { useTexts } from '@/ui/kit/texts'
import { useFormContext } from 'react-hook-form'
import type { PlanHandle } from '@/ui/drawing/pond-plan'
import type { SurveyFormValues } from './survey-form-values'

/** Where a handle writes to. */
type HandlePath = `points.${number}.${'xM' | 'yM'}` | `offsets.${number}.${'leftM' | 'rightM'}`

const isNumber = (value: number | null): value is number => value !== null && Number.isFinite(value)
const positive = (m: number): number => Math.max(0, Number(m.toFixed(3)))

/** Corners and stations of a survey as points that can be dragged on its plan; the figures beside it follow. */
export function usePlanHandles(values: SurveyFormValues): PlanHandle[] {
  const t = useTexts()

  const { setValue } = useFormContext<SurveyFormValues>()
  const put = (path: HandlePath, value: number) => setValue(path, value, { shouldDirty: true })
  if (values.outlineKind === 'points')
    return values.points.flatMap(({ xM, yM }, i) =>
      isNumber(xM) && isNumber(yM)
        ? [
            {
              name: t('survey.usePlanHandles.corner', { i: i + 1 }),
              xM,
              yM,
              onMove: (x: number, y: number) => {
                put(`points.${i}.xM`, x)
                put(`points.${i}.yM`, y)
              },
            },
          ]
        : [],
    )
  if (values.outlineKind !== 'offsets') return []
  return values.offsets.flatMap(({ stationM, leftM, rightM }, i) => {
    if (!isNumber(stationM)) return []
    // a station's place along the tape stays: only its offset is dragged
    const side = (name: string, offset: number | null, sign: 1 | -1, key: 'leftM' | 'rightM'): PlanHandle[] =>
      isNumber(offset)
        ? [
            {
              name: t('survey.usePlanHandles.station', { i: i + 1, name }),
              xM: stationM,
              yM: sign * offset,
              onMove: (_x, y) => put(`offsets.${i}.${key}`, positive(sign * y)),
            },
          ]
        : []
    return [...side('left', leftM, 1, 'leftM'), ...side('right', rightM, -1, 'rightM')]
  })
}
