'use client'
import { useTexts } from '@/ui/kit/texts'
import type { Basin } from '@/core/survey/basin'
import type { CombinedVolume, VolumeMethod } from '@/core/survey/volume-evidence'
import { possibleSlips } from '@/core/survey/volume-slips'
import type { MeasuredVolume } from '@/domain/ponds/pond-facts'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

interface VolumeEvidenceNoteProps {
  readonly evidence: readonly MeasuredVolume[]
  readonly adopted: CombinedVolume
  readonly setAside?: readonly MeasuredVolume[]
  /** Why it was set aside. */
  readonly why?: string
  readonly basin: Basin
  readonly rockShare: number
}

/** How the adopted volume came about, and whether the ways to it agree. */
export function VolumeEvidenceNote({
  evidence,
  adopted,
  setAside = [],
  why = '',
  basin,
  rockShare,
}: VolumeEvidenceNoteProps) {
  const t = useTexts()
  const show = useShow()
  return (
    <>
      <Disagreement evidence={evidence} adopted={adopted} />
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
            {evidence.map((e, i) => (
              <tr key={`${e.method}${i}`}>
                <td>{t(`survey.volumeMethods.${e.method}`)}</td>
                <td>
                  {t('survey.volumeEvidenceNote.oneSigma', {
                    volumeM3: show(e.volumeM3, 'volume'),
                    sigmaM3: show(e.sigmaM3, 'volume'),
                  })}
                </td>
              </tr>
            ))}
            {setAside.map((e, i) => (
              <tr key={`${e.method}${i}`} className="soft">
                <td>{t(`survey.volumeMethods.${e.method}`)}</td>
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

/** What does not agree, whether it is known which is off, and what commonly puts it off. */
function Disagreement({ evidence, adopted }: Pick<VolumeEvidenceNoteProps, 'evidence' | 'adopted'>) {
  const t = useTexts()
  const show = useShow()
  const { conflicts, distrust, open } = adopted
  if (conflicts.length === 0 && distrust === null)
    return open ? <p className="soft small mb-1">{t('survey.volumeEvidenceNote.apart')}</p> : null
  const name = (method: string) => t(`survey.volumeMethods.${method as VolumeMethod}`)
  const slips = possibleSlips(evidence, adopted)
  return (
    <div className="alert alert-warning py-2" role="status">
      {conflicts.map(({ methods, differenceM3, sigmas }) => (
        <p key={methods.join()} className="mb-1">
          {t('survey.volumeEvidenceNote.differ', {
            one: name(methods[0]),
            other: name(methods[1]),
            differenceM3: show(differenceM3, 'volume'),
            sigmas: sigmas.toFixed(1),
          })}
        </p>
      ))}
      <p className="mb-1">
        {distrust === null
          ? t('survey.volumeEvidenceNote.undecided')
          : t('survey.volumeEvidenceNote.oddOne', { method: name(distrust) })}
      </p>
      {slips.length > 0 ? (
        <details>
          <summary>{t('survey.volumeEvidenceNote.reasons')}</summary>
          <ul className="mb-0 ps-3">
            {slips.map(({ method, code }) => (
              <li key={`${method} ${code}`}>
                {t('survey.volumeEvidenceNote.reason', { method: name(method), slip: t(`survey.volumeSlips.${code}`) })}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </div>
  )
}

/** The adopted volume with how far it is known: as ± where its ways agree, else as the range that is open. */
export function AdoptedVolume({ adopted }: { adopted: CombinedVolume }) {
  const t = useTexts()
  const show = useShow()
  return (
    <>
      {show(adopted.volumeM3, 'volume')}{' '}
      {adopted.open ? (
        <span className="soft small" title={t('survey.volumeEvidenceNote.fourInFive')}>
          {t('survey.volumeEvidenceNote.range', {
            lowM3: show(adopted.lowM3, 'volume'),
            highM3: show(adopted.highM3, 'volume'),
          })}
        </span>
      ) : (
        <span className="soft small">
          {t('survey.volumeEvidenceNote.plusMinus', { sigmaM3: show(adopted.sigmaM3, 'volume') })}
        </span>
      )}
    </>
  )
}
