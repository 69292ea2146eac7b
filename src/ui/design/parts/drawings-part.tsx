'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { detailSheet, planSheet, sectionSheet } from '@/core/drawing/bed-sheets'
import { flowSheet } from '@/core/drawing/flow-sheet'
import { perimeterPlanSheet } from '@/core/drawing/perimeter-sheet'
import { DRAWING_SCALES, fittingScale, PAPERS, sheetSvg, type Paper } from '@/core/drawing/svg'
import { networkOf } from '@/core/filter/flow/flow-network'
import { writeInp } from '@/core/hydraulics/network/inp'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { DESIGN_FORMAT, readDesignFile } from '@/domain/design/design-file'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { FileButton } from '@/ui/kit/file-button'
import { usePerson, useShow } from '@/ui/person-context'
import { fileName, saveFile } from '@/ui/save-file'
import { useNetwork } from '../use-network'
import { orNaN, type DesignPart } from '@/ui/design/use-design'
import { saidWords } from '@/messages/said'
import { flowNames, sheetWords } from '@/messages/drawing/sheet-words'

const SHEET_NAMES = {
  plan: textId('design.drawingsPart.plan'),
  section: textId('design.drawingsPart.longSection'),
  detail: textId('design.drawingsPart.layerDetail'),
  flow: textId('design.drawingsPart.flowDiagram'),
} as const
type SheetKey = keyof typeof SHEET_NAMES

/** Enough for millimetres on anything that fits a garden. */
const DIMENSION_FIGURES = 6

/** Drawings computed from the design, at a true scale on paper; files in and out. */
export function DrawingsPart({ data, bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const { firmName } = usePerson()
  const [key, setKey] = useState<SheetKey>('plan')
  const [paper, setPaper] = useState<Paper>('A4')
  const [chosenScale, setScale] = useState<number | null>(null)
  const [fileNote, setFileNote] = useState<string | null>(null)
  const network = useNetwork(
    useMemo(() => {
      const plan = shown.bed.network
      return key === 'flow' && plan
        ? writeInp(networkOf(shown.bed, plan, 'summer', data.pumps, data.rules.tables))
        : null
    }, [key, shown.bed, data]),
  )
  const sheet = useMemo(() => {
    const plain = (words: string) => words.replaceAll('\u00a0', ' ')
    // a dimension is what was typed, to the millimetre: 12.25 m is never 12.3 m
    const words = sheetWords(
      (m) => plain(show(m, 'length', { scale: Math.abs(m) < 1 ? 'small' : 'usual', significant: DIMENSION_FIGURES })),
      t,
    )
    const { bed, result } = shown
    switch (key) {
      case 'plan':
        return FILTER_TYPE_FACTS[bed.type].alongShore
          ? perimeterPlanSheet(bed, savedPondFacts(data.pond).basin.outline, words)
          : planSheet(bed, words)
      case 'section':
        return sectionSheet(bed, words)
      case 'detail':
        return detailSheet(bed, words)
      case 'flow':
        return flowSheet({
          design: bed,
          pumpNames: [bed.pumpId, ...(bed.network?.morePumps ?? [])].map(
            (id) => data.pumps.find((p) => p.id === id)?.name ?? id,
          ),
          flowM3PerH: result.flowM3PerH,
          bedFlowM3PerH: result.bedFlowM3PerH,
          flowOf: (id) =>
            network.status === 'solved' ? (network.network.links.find((l) => l.id === id)?.flowM3PerH ?? 0) : null,
          write: (flow) => plain(show(flow, 'flow')),
          names: flowNames(t),
        })
    }
  }, [key, shown, show, data, network, t])
  const scale = chosenScale ?? fittingScale(sheet, paper)
  const { pond } = data
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
  const [heightMm, widthMm] = PAPERS[paper]
  const print = () => {
    const frame = document.createElement('iframe')
    frame.className = 'print-frame'
    frame.srcdoc = `<!doctype html><title>${t(SHEET_NAMES[key])}</title><style>@page{size:${widthMm}mm ${heightMm}mm;margin:0}body{margin:0}svg{display:block}</style>${svg}`
    frame.onload = () => {
      frame.contentWindow?.addEventListener('afterprint', () => frame.remove())
      frame.contentWindow?.print()
    }
    document.body.append(frame)
  }
  const designJson = () =>
    JSON.stringify(
      { format: DESIGN_FORMAT, kind: 'pond-filter-design', name: `${pond.name}`.slice(0, 60), design: shown.bed },
      null,
      2,
    )
  const open = (text: string, name: string) => {
    const read = readDesignFile(text)
    if (!read.ok) return setFileNote(`${name}: ${saidWords(read.problem.message, t)}`)
    set(read.value.design)
    setFileNote(t('design.drawingsPart.openedUndoBringsBack', { name }))
  }
  return (
    <>
      <section className="sheet">
        <h2>{t(SHEET_NAMES[key])}</h2>
        <div className="d-flex flex-wrap gap-2 align-items-end mb-2">
          <ChoiceField
            label={t('design.drawingsPart.drawing')}
            value={key}
            onChange={(e) => setKey(e.target.value as SheetKey)}
            options={optionsOf(SHEET_NAMES, t)}
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
                onChange={(v) => set({ northDeg: orNaN(v) }, 'north')}
                error={errorOf('northDeg')}
              />
            </div>
          ) : null}
          <button type="button" className="btn btn-sm btn-primary" onClick={print}>
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
      <section className="sheet">
        <h2>{t('design.drawingsPart.designFile')}</h2>
        <p className="soft">{t('design.drawingsPart.wholeDesignJsonKeep')}</p>
        <div className="d-flex flex-wrap gap-2 align-items-center">
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() =>
              saveFile(
                fileName(t('design.drawingsPart.design', { name: pond.name }), 'json'),
                designJson(),
                'application/json',
              )
            }
          >
            {t('design.drawingsPart.saveJson')}
          </button>
          <FileButton
            label={t('design.drawingsPart.openDesignFile')}
            accept=".json"
            onText={open}
            onTooLarge={() => setFileNote(t('design.drawingsPart.fileTooLargeDesign'))}
          />
          <a href="/api/v1/design.schema.json">{t('design.drawingsPart.jsonSchema')}</a>
        </div>
        <p role="status" className="mb-0 mt-2">
          {fileNote}
        </p>
      </section>
    </>
  )
}
