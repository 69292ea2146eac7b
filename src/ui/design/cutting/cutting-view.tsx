'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { LINER_OVERLAP_M } from '@/core/survey/liner'
import { NET_RULES } from '@/core/survey/net-tent'
import type { Roll } from '@/core/survey/roll-cutting'
import type { SheetKind, WantedSheet } from '@/server/design/cutting'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { CheckField } from '@/ui/kit/check-field'
import { useShow } from '@/ui/person-context'
import { CutPlanSheet } from './cut-plan-sheet'
import { RollRows, rollsFine } from './roll-rows'
import { useCutPlan } from './use-cut-plan'

/** Roll widths as they are usually sold; the person puts in their own. */
const USUAL_STOCK: readonly Roll[] = [
  { widthM: 4, lengthM: 25 },
  { widthM: 6, lengthM: 25 },
  { widthM: 8, lengthM: 30 },
]
const MAX_PIECES = 24
const SHEET_NAMES: Readonly<Record<SheetKind, TextId>> = {
  liner: textId('design.cuttingView.liner'),
  underlayment: textId('design.cuttingView.underlayment'),
  net: textId('design.cuttingView.leafNets'),
}

/** Liner, underlayment or net for several ponds at once, cut from rolls with little waste. */
export function CuttingView({ sheets }: { sheets: readonly WantedSheet[] }) {
  const t = useTexts()

  const show = useShow()
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [stock, setStock] = useState<readonly Roll[]>(USUAL_STOCK)
  const { state, ask, stop } = useCutPlan()
  const [kind, setKind] = useState<SheetKind>('liner')
  const shownSheets = sheets.filter((s) => s.kind === kind)
  const toCut = shownSheets.filter((s) => s.agreed && s.there === '')
  const pieces = shownSheets.filter((s) => chosen.has(s.id))
  const toggle = (id: string, on: boolean) =>
    setChosen(new Set(on ? [...chosen, id] : [...chosen].filter((c) => c !== id)))
  return (
    <>
      <div className="page-head">
        <h1>{t('design.cuttingView.cutSheetsFromRolls')}</h1>
        <span className="soft">{t('design.cuttingView.severalPondsFromSame')}</span>
      </div>
      <div className="columns form-and-drawing">
        <div>
          <section className="sheet">
            <h2>{t('design.cuttingView.sheetsWanted')}</h2>
            <ChoiceField
              label={t('design.cuttingView.cut')}
              value={kind}
              onChange={(e) => setKind(e.target.value as SheetKind)}
              options={optionsOf(SHEET_NAMES, t)}
              className="mb-2"
            />
            {sheets.length === 0 ? <p className="soft mb-0">{t('design.cuttingView.surveyPondLinerAppears')}</p> : null}
            {kind === 'net' ? (
              <p className="mb-1">
                {toCut.length === 0
                  ? t('design.cuttingView.everyPondNettingAgreed')
                  : t('design.cuttingView.nettingAgreedNoNet', {
                      count: toCut.length,
                    })}{' '}
                {toCut.length > 0 ? (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary"
                    onClick={() =>
                      setChosen(
                        new Set(
                          [...chosen]
                            .filter((id) => !shownSheets.some((s) => s.id === id))
                            .concat(toCut.slice(0, MAX_PIECES).map((s) => s.id)),
                        ),
                      )
                    }
                  >
                    {t('design.cuttingView.choose', {
                      count: toCut.length,
                      more: toCut.length > MAX_PIECES ? 'yes' : 'no',
                      most: MAX_PIECES,
                    })}
                  </button>
                ) : null}
              </p>
            ) : null}
            {shownSheets.map((sheet) => (
              <WantedRow
                key={sheet.id}
                sheet={sheet}
                chosen={chosen.has(sheet.id)}
                full={pieces.length >= MAX_PIECES}
                onChoose={(on) => toggle(sheet.id, on)}
              />
            ))}
            <p className="soft small mb-0">
              {kind === 'net'
                ? t('design.cuttingView.tentOverRidgeSlack', { turnDownM: show(NET_RULES.turnDownM, 'length') })
                : t('design.cuttingView.longestWayOverEach', {
                    linerOverlapM: show(LINER_OVERLAP_M, 'length'),
                    kind: kind === 'underlayment' ? t('design.cuttingView.oneLayerSecondGoes') : '',
                  })}
            </p>
          </section>
          <section className="sheet">
            <h2>{t('design.cuttingView.rollsStock')}</h2>
            <RollRows stock={stock} onStock={setStock} />
            <div className="d-flex gap-2">
              <button
                type="button"
                className="btn btn-sm btn-outline-primary"
                onClick={() => setStock([...stock, { widthM: 5, lengthM: 25 }])}
              >
                {t('design.cuttingView.addRollWidth')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-primary"
                disabled={pieces.length === 0 || !rollsFine(stock) || state.status === 'working'}
                onClick={() => ask(pieces, stock)}
              >
                {t('design.cuttingView.planCuts')}
              </button>
              {state.status === 'working' ? (
                <button type="button" className="btn btn-sm btn-outline-secondary" onClick={stop}>
                  {t('design.cuttingView.stop')}
                </button>
              ) : null}
            </div>
          </section>
        </div>
        <section className="sheet" aria-label={t('design.cuttingView.cutPlan')} aria-live="polite">
          <h2>{t('design.cuttingView.cutPlan')}</h2>
          {state.status === 'idle' ? <p className="soft mb-0">{t('design.cuttingView.chooseSheetsThenPlan')}</p> : null}
          {state.status === 'working' ? <p className="mb-0">{t('design.cuttingView.tryingWaysCut')}</p> : null}
          {state.status === 'failed' ? (
            <p className="stop-note mb-0">{t('design.cuttingView.planCouldNotWorked')}</p>
          ) : null}
          {state.status === 'done' ? <CutPlanSheet plan={state.plan} sheets={sheets} /> : null}
        </section>
      </div>
    </>
  )
}

interface WantedRowProps {
  readonly sheet: WantedSheet
  readonly chosen: boolean
  /** No more can be chosen. */
  readonly full: boolean
  readonly onChoose: (on: boolean) => void
}

function WantedRow({ sheet, chosen, full, onChoose }: WantedRowProps) {
  const t = useTexts()
  const show = useShow()
  const note = () => {
    if (sheet.there) return t('design.cuttingView.there', { there: sheet.there })
    return sheet.agreed ? t('design.cuttingView.nettingAgreed') : ''
  }
  return (
    <CheckField
      label={`${sheet.name}: ${show(sheet.lengthM, 'length')} × ${show(sheet.widthM, 'length')}${note()}`}
      checked={chosen}
      disabled={!chosen && full}
      onChange={onChoose}
    />
  )
}
