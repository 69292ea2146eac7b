'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { LINER_OVERLAP_M } from '@/core/survey/liner'
import { NET_RULES } from '@/core/survey/net-tent'
import { CUTTING_RANGE, type CutPlan, type Roll } from '@/core/survey/roll-cutting'
import type { SheetKind, WantedSheet } from '@/server/design/cutting'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { CheckField } from '@/ui/kit/check-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'
import { CutDrawing, cutScale } from './cut-drawing'
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

const within = (value: number, [least, most]: readonly [number, number]): boolean => value >= least && value <= most

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
  const stockFine =
    stock.length > 0 &&
    stock.every((r) => within(r.widthM, CUTTING_RANGE.rollWidthM) && within(r.lengthM, CUTTING_RANGE.rollLengthM))
  const toggle = (id: string, on: boolean) =>
    setChosen(new Set(on ? [...chosen, id] : [...chosen].filter((c) => c !== id)))
  const which = () => {
    if (toCut.length > MAX_PIECES) return t('design.cuttingView.first', { mostPieces: MAX_PIECES })
    if (toCut.length === 1) return 'it'
    return 'these'
  }
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
                      count: which(),
                    })}
                  </button>
                ) : null}
              </p>
            ) : null}
            {shownSheets.map((s) => {
              const note = () => {
                if (s.there) return t('design.cuttingView.there', { there: s.there })
                if (s.agreed) return t('design.cuttingView.nettingAgreed')
                return ''
              }

              return (
                <CheckField
                  key={s.id}
                  label={`${s.name}: ${show(s.lengthM, 'length')} × ${show(s.widthM, 'length')}${note()}`}
                  checked={chosen.has(s.id)}
                  disabled={!chosen.has(s.id) && pieces.length >= MAX_PIECES}
                  onChange={(on) => toggle(s.id, on)}
                />
              )
            })}
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
            {stock.map((roll, i) => (
              <div key={i} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 2.4rem' }}>
                <QuantityField
                  label={t('design.cuttingView.rollWidth', { i: i + 1 })}
                  kind="length"
                  value={roll.widthM}
                  onChange={(v) => setStock(stock.map((r, n) => (n === i ? { ...r, widthM: v ?? Number.NaN } : r)))}
                  error={
                    within(roll.widthM, CUTTING_RANGE.rollWidthM) ? undefined : t('design.cuttingView.between0230')
                  }
                />
                <QuantityField
                  label={t('design.cuttingView.rollLength', { i: i + 1 })}
                  kind="length"
                  value={roll.lengthM}
                  onChange={(v) => setStock(stock.map((r, n) => (n === i ? { ...r, lengthM: v ?? Number.NaN } : r)))}
                  error={
                    within(roll.lengthM, CUTTING_RANGE.rollLengthM) ? undefined : t('design.cuttingView.between1500M')
                  }
                />
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary align-self-center"
                  aria-label={t('design.cuttingView.removeRoll', { i: i + 1 })}
                  disabled={stock.length === 1}
                  onClick={() => setStock(stock.filter((_, n) => n !== i))}
                >
                  ×
                </button>
              </div>
            ))}
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
                disabled={pieces.length === 0 || !stockFine || state.status === 'working'}
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
          {state.status === 'done' ? <Plan plan={state.plan} sheets={sheets} /> : null}
        </section>
      </div>
    </>
  )
}

function Plan({ plan, sheets }: { plan: CutPlan; sheets: readonly WantedSheet[] }) {
  const t = useTexts()

  const show = useShow()
  const nameOf = (id: string) => sheets.find((s) => s.id === id)?.name ?? id
  return (
    <>
      <p>
        <strong data-testid="cut-waste">{show(plan.wasteShare, 'share')}</strong>{' '}
        {t('design.cuttingView.wasteCutFrom', {
          usedM2: show(plan.usedM2, 'area'),
          count: plan.rolls.length,
        })}{' '}
        <span className="soft">
          {plan.exact ? t('design.cuttingView.everyWayCuttingTried') : t('design.cuttingView.bestFoundSearch')}
        </span>
      </p>
      {plan.unplaced.length > 0 ? (
        <div className="stop-note" role="alert">
          {t('design.cuttingView.widerThanAnyRoll', { nameOf: plan.unplaced.map(nameOf).join('; ') })}
        </div>
      ) : null}
      {plan.rolls.map((roll, i) => (
        <CutDrawing key={i} roll={roll} pxPerM={cutScale(plan.rolls)} nameOf={nameOf} />
      ))}
    </>
  )
}
