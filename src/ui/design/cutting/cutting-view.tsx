'use client'
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
const MOST_PIECES = 24
const SHEET_NAMES: Readonly<Record<SheetKind, string>> = { liner: 'Liner', underlayment: 'Underlayment', net: 'Leaf nets' }

const within = (value: number, [least, most]: readonly [number, number]): boolean => value >= least && value <= most

/** Liner, underlayment or net for several ponds at once, cut from rolls with little waste. */
export function CuttingView({ sheets }: { sheets: readonly WantedSheet[] }) {
  const show = useShow()
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [stock, setStock] = useState<readonly Roll[]>(USUAL_STOCK)
  const { state, ask, stop } = useCutPlan()
  const [kind, setKind] = useState<SheetKind>('liner')
  const shownSheets = sheets.filter((s) => s.kind === kind)
  const toCut = shownSheets.filter((s) => s.agreed && s.there === '')
  const pieces = shownSheets.filter((s) => chosen.has(s.id))
  const stockFine = stock.length > 0 && stock.every((r) => within(r.widthM, CUTTING_RANGE.rollWidthM) && within(r.lengthM, CUTTING_RANGE.rollLengthM))
  const toggle = (id: string, on: boolean) => setChosen(new Set(on ? [...chosen, id] : [...chosen].filter((c) => c !== id)))
  return (
    <>
      <div className="page-head">
        <h1>Cut sheets from rolls</h1>
        <span className="soft">Several ponds from the same rolls, straight cuts only; what is left of one serves another.</span>
      </div>
      <div className="columns form-and-drawing">
        <div>
          <section className="sheet">
            <h2>Sheets wanted</h2>
            <ChoiceField label="Cut" value={kind} onChange={(e) => setKind(e.target.value as SheetKind)} options={optionsOf(SHEET_NAMES)} className="mb-2" />
            {sheets.length === 0 ? <p className="soft mb-0">Survey a pond, and its liner appears here.</p> : null}
            {kind === 'net' ? (
              <p className="mb-1">
                {toCut.length === 0
                  ? 'Every pond with netting agreed has its net.'
                  : `${toCut.length} ${toCut.length === 1 ? 'pond has' : 'ponds have'} netting agreed and no net yet.`}{' '}
                {toCut.length > 0 ? (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary"
                    onClick={() =>
                      setChosen(new Set([...chosen].filter((id) => !shownSheets.some((s) => s.id === id)).concat(toCut.slice(0, MOST_PIECES).map((s) => s.id))))
                    }
                  >
                    Choose {toCut.length > MOST_PIECES ? `the first ${MOST_PIECES}` : toCut.length === 1 ? 'it' : 'these'}
                  </button>
                ) : null}
              </p>
            ) : null}
            {shownSheets.map((s) => (
              <CheckField
                key={s.id}
                label={`${s.name}: ${show(s.lengthM, 'length')} × ${show(s.widthM, 'length')}${s.there ? ` (there: ${s.there})` : s.agreed ? ', netting agreed' : ''}`}
                checked={chosen.has(s.id)}
                disabled={!chosen.has(s.id) && pieces.length >= MOST_PIECES}
                onChange={(on) => toggle(s.id, on)}
              />
            ))}
            <p className="soft small mb-0">
              {kind === 'net'
                ? `As a tent: over the ridge, with slack, and ${show(NET_RULES.turnDownM, 'length')} turned down on each side.`
                : `Longest way over each, twice the greatest depth and ${show(LINER_OVERLAP_M, 'length')} over the rim on each side.${kind === 'underlayment' ? ' One layer; a second goes on top where stone lies.' : ''}`}
            </p>
          </section>
          <section className="sheet">
            <h2>Rolls in stock</h2>
            {stock.map((roll, i) => (
              <div key={i} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 2.4rem' }}>
                <QuantityField
                  label={`Roll ${i + 1} width`}
                  kind="length"
                  value={roll.widthM}
                  onChange={(v) => setStock(stock.map((r, n) => (n === i ? { ...r, widthM: v ?? Number.NaN } : r)))}
                  error={within(roll.widthM, CUTTING_RANGE.rollWidthM) ? undefined : 'Between 0.2 and 30 m.'}
                />
                <QuantityField
                  label={`Roll ${i + 1} length`}
                  kind="length"
                  value={roll.lengthM}
                  onChange={(v) => setStock(stock.map((r, n) => (n === i ? { ...r, lengthM: v ?? Number.NaN } : r)))}
                  error={within(roll.lengthM, CUTTING_RANGE.rollLengthM) ? undefined : 'Between 1 and 500 m.'}
                />
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary align-self-center"
                  aria-label={`Remove roll ${i + 1}`}
                  disabled={stock.length === 1}
                  onClick={() => setStock(stock.filter((_, n) => n !== i))}
                >
                  ×
                </button>
              </div>
            ))}
            <div className="d-flex gap-2">
              <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => setStock([...stock, { widthM: 5, lengthM: 25 }])}>
                Add a roll width
              </button>
              <button
                type="button"
                className="btn btn-sm btn-primary"
                disabled={pieces.length === 0 || !stockFine || state.status === 'working'}
                onClick={() => ask(pieces, stock)}
              >
                Plan the cuts
              </button>
              {state.status === 'working' ? (
                <button type="button" className="btn btn-sm btn-outline-secondary" onClick={stop}>
                  Stop
                </button>
              ) : null}
            </div>
          </section>
        </div>
        <section className="sheet" aria-label="Cut plan" aria-live="polite">
          <h2>Cut plan</h2>
          {state.status === 'idle' ? <p className="soft mb-0">Choose sheets, then plan the cuts.</p> : null}
          {state.status === 'working' ? <p className="mb-0">Trying ways to cut.</p> : null}
          {state.status === 'failed' ? <p className="stop-note mb-0">The plan could not be worked out. Check the rolls and try again.</p> : null}
          {state.status === 'done' ? <Plan plan={state.plan} sheets={sheets} /> : null}
        </section>
      </div>
    </>
  )
}

function Plan({ plan, sheets }: { plan: CutPlan; sheets: readonly WantedSheet[] }) {
  const show = useShow()
  const nameOf = (id: string) => sheets.find((s) => s.id === id)?.name ?? id
  return (
    <>
      <p>
        <strong data-testid="cut-waste">{show(plan.wasteShare, 'share')}</strong> waste; {show(plan.usedM2, 'area')} cut from {plan.rolls.length}{' '}
        {plan.rolls.length === 1 ? 'roll' : 'rolls'}.{' '}
        <span className="soft">{plan.exact ? 'Every way of cutting was tried.' : 'The best found by search.'}</span>
      </p>
      {plan.unplaced.length > 0 ? (
        <div className="stop-note" role="alert">
          Wider than any roll, so they need a seam by someone who welds liner: {plan.unplaced.map(nameOf).join('; ')}.
        </div>
      ) : null}
      {plan.rolls.map((roll, i) => (
        <CutDrawing key={i} roll={roll} pxPerM={cutScale(plan.rolls)} nameOf={nameOf} />
      ))}
    </>
  )
}
