import type { Region } from '@/domain/shared/region'
import { firmTexts } from '@/messages/texts'
import { renderToBuffer } from '@react-pdf/renderer'
import type { VisitId } from '@/domain/shared/ids'
import type { Actor } from '@/server/platform/auth/actor'
import { photoImage } from '@/server/visits/photos'
import { visitReport } from '@/server/visits/report'
import { ReportDocument } from './report-document'

/** The visit report as PDF bytes, with a file name that sorts by date. */
export async function reportPdf(
  actor: Actor,
  id: VisitId,
  region: Region = 'en-GB',
): Promise<{ bytes: Buffer; fileName: string }> {
  const t = firmTexts()
  const page = await visitReport(actor, id)
  const photos = await Promise.all(
    page.photos.map(async (photo, i) => ({
      data: await photoImage(actor, photo.id, 'image'),
      caption:
        page.photos.length === 2
          ? [t('visits.reportView.before'), t('visits.reportView.after')][i]!
          : t('visits.reportView.day'),
    })),
  )
  const bytes = await renderToBuffer(
    <ReportDocument page={page} photos={photos} units={actor.preferences.units} region={region} />,
  )
  const slug = `${page.report.visit.day} ${page.report.visit.job.name} ${page.report.visit.pondName}`
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
  return { bytes, fileName: `${slug}.pdf` }
}
