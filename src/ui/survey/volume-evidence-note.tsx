'use client'
import type { Basin } from '@/core/survey/basin'
import type { CombinedVolume, VolumeEvidence } from '@/core/survey/volume-evidence'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

const METHOD_NAMES: Readonly<Record<string, string>> = {
  'geometry-free-form': 'From the survey',
  'geometry-rectangle': 'From the survey (rectangle, vertical walls)',
  'metered-fill': 'Metered fill',
  'timed-fill': 'Timed fill',
  'salt-dilution': 'Salt dilution',
  'drain-down': 'Drain-down',
}

/** How the adopted volume came about, and whether the ways to it agree. */
export function VolumeEvidenceNote({
  evidence,
  adopted,
  basin,
  rockShare,
}: {
  evidence: readonly VolumeEvidence[]
  adopted: CombinedVolume
  basin: Basin
  rockShare: number
}) {
  const show = useShow()
  return (
    <>
      {adopted.conflicts.map((c) => (
        <div key={c.methods.join()} className="alert alert-warning py-2" role="status">
          {METHOD_NAMES[c.methods[0]]} and {METHOD_NAMES[c.methods[1]].toLowerCase()} differ by {show(c.differenceM3, 'volume')}, {c.sigmas.toFixed(1)} times
          their joint uncertainty. Look again at: {METHOD_NAMES[c.distrust]}.
        </div>
      ))}
      <Why>
        <table className="table table-sm mb-1">
          <tbody>
            {basin.zones.map((z, i) => (
              <tr key={`${z.name}${i}`}>
                <td>{z.name}</td>
                <td>
                  h/6 · (top {show(z.topAreaM2, 'area')} + 4 · mid {show(z.midAreaM2, 'area')} + floor {show(z.bottomAreaM2, 'area')})
                </td>
              </tr>
            ))}
            <tr>
              <td>Gross less stone</td>
              <td>
                {show(basin.grossM3, 'volume')} − {show(rockShare, 'share')} = {show(basin.waterM3, 'volume')}
              </td>
            </tr>
            {evidence.map((e) => (
              <tr key={e.method}>
                <td>{METHOD_NAMES[e.method]}</td>
                <td>
                  {show(e.volumeM3, 'volume')} ± {show(e.sigmaM3, 'volume')} (one sigma)
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        Prismoidal rule zone by zone, walls set in by slope × depth. Estimates are combined by inverse variance; everything that is dosed or sized uses the
        adopted volume.
      </Why>
    </>
  )
}
