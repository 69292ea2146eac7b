'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import type { Basin } from '@/core/survey/basin'
import type { CombinedVolume, VolumeEvidence } from '@/core/survey/volume-evidence'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

const METHOD_NAMES: Readonly<Record<string, TextId>> = {
  'geometry-free-form': textId('survey.volumeEvidenceNote.fromSurvey'),
  'geometry-rectangle': textId('survey.volumeEvidenceNote.fromSurveyRectangleVertical'),
  'metered-fill': textId('survey.volumeEvidenceNote.meteredFill'),
  'timed-fill': textId('survey.volumeEvidenceNote.timedFill'),
  'salt-dilution': textId('survey.volumeEvidenceNote.saltDilution'),
  'drain-down': textId('survey.volumeEvidenceNote.drainDown'),
}

/** How the adopted volume came about, and whether the ways to it agree. */
export function VolumeEvidenceNote({
  evidence,
  adopted,
  setAside = [],
  why = '',
  basin,
  rockShare,
}: {
  evidence: readonly VolumeEvidence[]
  adopted: CombinedVolume
  setAside?: readonly VolumeEvidence[]
  /** Why it was set aside. */
  why?: string
  basin: Basin
  rockShare: number
}) {
  const t = useTexts()

  const show = useShow()
  return (
    <>
      {adopted.conflicts.map((c) => (
        <div key={c.methods.join()} className="alert alert-warning py-2" role="status">
          {t('survey.volumeEvidenceNote.differTimesTheirJoint', {
            names: t(METHOD_NAMES[c.methods[0]]!),
            names2: t(METHOD_NAMES[c.methods[1]]!).toLowerCase(),
            differenceM3: show(c.differenceM3, 'volume'),
            sigmas: c.sigmas.toFixed(1),
            distrust: t(METHOD_NAMES[c.distrust]!),
          })}
        </div>
      ))}
      <Why>
        <table className="table table-sm mb-1">
          <tbody>
            {basin.zones.map((z, i) => (
              <tr key={`${z.name}${i}`}>
                <td>{z.name}</td>
                <td>
                  {t('survey.volumeEvidenceNote.h6Top4', {
                    topAreaM2: show(z.topAreaM2, 'area'),
                    midAreaM2: show(z.midAreaM2, 'area'),
                    bottomAreaM2: show(z.bottomAreaM2, 'area'),
                  })}
                </td>
              </tr>
            ))}
            <tr>
              <td>{t('survey.volumeEvidenceNote.grossLessStone')}</td>
              <td>
                {show(basin.grossM3, 'volume')} − {show(rockShare, 'share')} = {show(basin.waterM3, 'volume')}
              </td>
            </tr>
            {evidence.map((e) => (
              <tr key={e.method}>
                <td>{t(METHOD_NAMES[e.method]!)}</td>
                <td>
                  {t('survey.volumeEvidenceNote.oneSigma', {
                    volumeM3: show(e.volumeM3, 'volume'),
                    sigmaM3: show(e.sigmaM3, 'volume'),
                  })}
                </td>
              </tr>
            ))}
            {setAside.map((e) => (
              <tr key={e.method} className="soft">
                <td>{t(METHOD_NAMES[e.method]!)}</td>
                <td>{t('survey.volumeEvidenceNote.setAside', { volumeM3: show(e.volumeM3, 'volume'), why })}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {t('survey.volumeEvidenceNote.prismoidalRuleZoneZone')}
      </Why>
    </>
  )
}
