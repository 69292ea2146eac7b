'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { sheetKeysOf, type SheetKey } from '@/core/drawing/drawing-set'
import { DRAWING_SCALES, fittingScale, PAPERS, sheetSvg, type Paper } from '@/core/drawing/svg'
import { REGION_HABITS } from '@/domain/shared/region'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { usePerson } from '@/ui/person-context'
import { printSvg } from '@/ui/print-svg'
import { fileName, saveFile } from '@/ui/save-file'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import { sheetWords } from '@/messages/drawing/sheet-words'
import { DesignFile } from './design-file'
import { SHEET_NAMES, useSheet } from './use-sheet'

/** Drawings computed from the design, at a true scale on paper; files in and out. */
export function DrawingsPart(part: DesignPart) {
  const { data, bed, shown, set, errorOf } = part
  const t = useTexts()
  const { firmName } = usePerson()
  const [chosen, setKey] = useState<SheetKey>('plan')
  const keys = sheetKeysOf({ design: shown.bed, result: shown.result, ground: data.designPond.ground })
  const key = keys.includes(chosen) ? chosen : 'plan'
  const [paper, setPaper] = useState<Paper>(REGION_HABITS[t.region].paper)
  const [chosenScale, setScale] = useState<number | null>(null)
  const sheet = useSheet(part, key)!
  const scale = chosenScale ?? fittingScale(sheet, paper)
  const { pond } = data
  // the set is made from what is on file, so that two people print the same
  const saved = part.opened
  const svg = useMemo(
    () =>
      sheetSvg(sheet, {
        paper,
        scale,
        words: sheetWords(String, t),
        subtitle: t('design.drawingsPart.computedFromDesignCheck', {
          firmName,
          customerName: pond.customerName,
          siteName: pond.siteName,
          name: pond.name,
        }),
      }),
    [sheet, paper, scale, firmName, pond, t],
  )
  return (
    <>
      <section className="sheet">
        <h2>{t(SHEET_NAMES[key])}</h2>
        <div className="d-flex flex-wrap gap-2 align-items-end mb-2">
          <ChoiceField
            label={t('design.drawingsPart.drawing')}
            value={key}
            onChange={(e) => setKey(e.target.value as SheetKey)}
            options={keys.map((value) => ({ value, label: t(SHEET_NAMES[value]) }))}
          />
          <ChoiceField
            label={t('design.drawingsPart.paper')}
            value={paper}
            onChange={(e) => setPaper(e.target.value as Paper)}
            options={Object.keys(PAPERS).map((p) => ({ value: p, label: t('design.drawingsPart.lying', { p }) }))}
          />
          <ChoiceField
            label={t('design.drawingsPart.scale')}
            value={chosenScale === null ? 'fit' : String(chosenScale)}
            onChange={(e) => setScale(e.target.value === 'fit' ? null : Number(e.target.value))}
            options={[
              { value: 'fit', label: t('design.drawingsPart.fits1', { sheet: fittingScale(sheet, paper) }) },
              ...DRAWING_SCALES.map((s) => ({ value: String(s), label: `1 : ${s}` })),
            ]}
          />
          {key === 'plan' ? (
            <div style={{ width: '9rem' }}>
              <QuantityField
                label={t('design.drawingsPart.northFromUp')}
                kind="number"
                value={bed.northDeg}
                disabled={bed.layout !== null}
                hint={bed.layout === null ? undefined : t('sitePlan.layout.fromPlan')}
                onChange={(v) => set({ northDeg: orNaN(v) }, 'north')}
                error={errorOf('northDeg')}
              />
            </div>
          ) : null}
          <button
            type="button"
            className="btn btn-sm btn-primary"
            onClick={() => printSvg(svg, t(SHEET_NAMES[key]), PAPERS[paper])}
          >
            {sheet.notToScale ? t('design.drawingsPart.print') : t('design.drawingsPart.print1', { scale })}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => saveFile(fileName(`${pond.name} ${key}`, 'svg'), svg, 'image/svg+xml')}
          >
            {t('design.drawingsPart.saveSvg')}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() =>
              void import('../sheet-dxf').then(({ sheetDxf }) =>
                saveFile(fileName(`${pond.name} ${key}`, 'dxf'), sheetDxf(sheet, t), 'application/dxf'),
              )
            }
          >
            {t('design.drawingsPart.saveDxf')}
          </button>
          {saved ? (
            <a
              className="btn btn-sm btn-outline-primary"
              href={`/api/v1/designs/${saved.id}/drawings.pdf?paper=${paper}`}
              title={t('design.drawingsPart.setOfSaved', { number: saved.number })}
            >
              {t('design.drawingsPart.drawingSet')}
            </a>
          ) : null}
        </div>
        {/* eslint-disable-next-line @next/next/no-img-element -- a drawing made here, not a file of the site */}
        <img
          className="paper"
          src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
          alt={
            sheet.notToScale
              ? t('design.drawingsPart.on', { key: t(SHEET_NAMES[key]), paper })
              : t('design.drawingsPart.n1', { key: t(SHEET_NAMES[key]), scale, paper })
          }
        />
      </section>
      <DesignFile {...part} />
    </>
  )
}
