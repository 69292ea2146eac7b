'use client'
import { SIDE_NAMES, TIE_IN_NAMES } from '@/messages/design/tie-in-names'
import { useTexts } from '@/ui/kit/texts'
import { csvOf } from '@/domain/shared/csv'
import type { FilterDesign } from '@/core/filter/design-input'
import type { PondGround } from '@/core/site-plan/pond-ground'
import type { SiteLayout } from '@/core/site-plan/site-layout'
import { tieInTable, type TieIn } from '@/core/site-plan/tie-in'
import { useShow } from '@/ui/person-context'
import { fileName, saveFile } from '@/ui/save-file'

interface TieInTableProps {
  readonly design: FilterDesign
  readonly layout: SiteLayout
  readonly ground: PondGround
  readonly pondName: string
}

/** What is set out on site with two tapes from two fixed points. */
export function TieInTable({ design, layout, ground, pondName }: TieInTableProps) {
  const t = useTexts()
  const show = useShow()
  const rows = tieInTable(design, layout, ground.outline, ground.survey)
  const name = ({ kind, number }: TieIn) => t('sitePlan.tieIn.numbered', { name: t(TIE_IN_NAMES[kind]), number })
  const save = () =>
    saveFile(
      fileName(`${pondName} set-out`, 'csv'),
      csvOf(
        rows.map((row) => ({
          point: name(row),
          from_a_m: row.fromA.toFixed(3),
          from_b_m: row.fromB.toFixed(3),
          side: row.side,
        })),
        ['point', 'from_a_m', 'from_b_m', 'side'],
      ),
      'text/csv',
    )
  return (
    <section className="sheet">
      <h2>{t('sitePlan.tieIn.title')}</h2>
      {rows.length === 0 ? (
        <p className="soft mb-0">{t('sitePlan.tieIn.needsPoints')}</p>
      ) : (
        <>
          <p className="soft small">{t('sitePlan.tieIn.help')}</p>
          <table className="table table-sm numeric-columns">
            <thead>
              <tr>
                <th scope="col">{t('sitePlan.tieIn.point')}</th>
                <th scope="col">{t('sitePlan.tieIn.fromA')}</th>
                <th scope="col">{t('sitePlan.tieIn.fromB')}</th>
                <th scope="col">{t('sitePlan.tieIn.side')}</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={`${row.kind}${row.number}`}>
                  <th scope="row">{name(row)}</th>
                  <td>{show(row.fromA, 'length', { significant: 4 })}</td>
                  <td>{show(row.fromB, 'length', { significant: 4 })}</td>
                  <td>{t(SIDE_NAMES[row.side])}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={save}>
            {t('sitePlan.tieIn.save')}
          </button>
        </>
      )}
    </section>
  )
}
