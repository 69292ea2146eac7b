'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { Fragment } from 'react'
import { STEP_FIGURES } from '@/core/visits/figures'
import type { VisitStep } from '@/core/visits/step'
import { SHOWN_UNIT } from '@/core/units/systems'
import { duration } from '@/domain/shared/dates'
import { stepDoses } from '@/domain/water/dosing'
import { amountsToday, type FieldVisit } from '@/domain/field/field-pack'
import { fieldHref } from '@/domain/field/field-href'
import { figureScale } from '@/domain/visits/figure-scale'
import type { ProductBook } from '@/domain/stores/product-book'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import { gateOnPaper } from '@/messages/visits/gates-on-paper'
import { inUnits } from '@/messages/visits/in-units'
import { StepAmount } from '@/ui/field/steps/step-amount'
import { RiskText } from '@/ui/forecasts/risk-text'
import { usePerson, useShow } from '@/ui/person-context'
import { speciesName } from '@/messages/plants/species-name'

/**
 * A visit's sheet for a clipboard: every step with its amounts, its stops and room to write, for days when no device
 * comes along.
 */
export function PaperSheet({ field, products }: { field: FieldVisit; products: ProductBook }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const { visit, pond } = field
  const sections = [...new Set(visit.job.steps.map((s) => s.section))]
  return (
    <article className="paper-sheet">
      <div className="page-head">
        <h1>
          {visit.job.name}: {visit.siteName}, {visit.pondName}
        </h1>
        <span className="actions no-print">
          <a className="btn btn-sm btn-outline-secondary" href={fieldHref(visit.id)}>
            {t('visits.paperSheet.fieldSheet')}
          </a>
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}`}>
            {t('visits.paperSheet.pond')}
          </Link>
          <button type="button" className="btn btn-sm btn-primary" onClick={() => window.print()}>
            {t('visits.paperSheet.print')}
          </button>
        </span>
      </div>
      <section className="sheet">
        <p className="mb-1">
          {t('visits.paperSheet.about', {
            day: t.longDate(visit.day),
            startTime: visit.startTime,
            plannedMinutes: duration(visit.plannedMinutes),
            crewName: visit.crewName,
            customerName: visit.customerName,
          })}
        </p>
        <p className="mb-1">
          {[visit.address, visit.town].filter(Boolean).join(', ')}
          {visit.accessNotes ? `. ${visit.accessNotes}` : ''}
        </p>
        {visit.note ? <p className="mb-1">{visit.note}</p> : null}
        {field.forecastRisks ? (
          <p className="mb-1">
            {t('visits.paperSheet.forecast', { madeAt: t.instant(field.forecastRisks.madeAt, timeZone) })}{' '}
            {field.forecastRisks.risks.map((risk, i) => (
              <Fragment key={risk.hazard}>
                {i > 0 ? '; ' : null}
                <RiskText risk={risk} />
              </Fragment>
            ))}
          </p>
        ) : null}
        {field.notesForNextSeason.length > 0 ? (
          <p className="mb-1">
            {t('visits.paperSheet.notedSeason', { notesForNextSeason: field.notesForNextSeason.join('; ') })}
          </p>
        ) : null}
        <p className="mb-0">
          {t('visits.paperSheet.began')} <Blank /> {t('visits.paperSheet.ended')} <Blank />{' '}
          {t('visits.paperSheet.people')} <Blank wide />
        </p>
        <p className="soft small mb-0">{t('visits.paperSheet.amountsPondKnownToday')}</p>
      </section>
      {sections.map((section) => (
        <section key={section} className="sheet">
          <h2>{section}</h2>
          {visit.job.steps
            .filter((s) => s.section === section)
            .map((step) => (
              <PaperStep key={step.key} step={step} field={field} products={products} />
            ))}
        </section>
      ))}
      <section className="sheet">
        <h2>{t('visits.paperSheet.foundPartsRenewedNotes')}</h2>
        <div className="paper-lines" />
      </section>
    </article>
  )
}

const Blank = ({ wide = false }: { wide?: boolean }) => <span className={`paper-blank ${wide ? 'wide' : ''}`} />
const Box = () => <span className="paper-box" aria-hidden="true" />

function PaperStep({ step, field, products }: { step: VisitStep; field: FieldVisit; products: ProductBook }) {
  const t = useTexts()

  const show = useShow()
  const { units } = usePerson().preferences
  const { pond } = field
  const amounts = amountsToday(field, new Map())
  const waterC = field.lastReadings.find((r) => r.kind === 'waterTemp')?.value ?? null
  const doses = step.products ? stepDoses(step, products, { amounts, waterC, recent: [] }, {}) : []
  const care = field.care.filter((task) => step.plants?.includes(task.action) && task.due <= field.visit.day)
  return (
    <div className="paper-step">
      <p className="mb-0">
        <Box /> <strong>{step.title}</strong>
      </p>
      {step.detail ? <p className="mb-1">{inUnits(step.detail, show)}</p> : null}
      {step.safety ? <p className="safety-note mb-1">{inUnits(step.safety, show)}</p> : null}
      {step.gate ? (
        <p className="stop-note mb-1">
          <strong>{t('visits.paperSheet.stop')}</strong>{' '}
          {t('visits.paperSheet.doubtCallCrewLead', { show: gateOnPaper(step.gate, show, t) })}
        </p>
      ) : null}
      {step.quantity ? (
        <StepAmount
          quantity={step.quantity}
          amounts={amounts}
          sourceName={t(`ponds.waterSourceNames.${pond.waterSource}`)}
        />
      ) : null}
      {doses.map(({ product, amount }) => (
        <p key={product.key} className="mb-1">
          {t('visits.paperSheet.given', {
            name: product.name,
            amount:
              amount > 0
                ? `${Number(amount.toPrecision(3))} ${product.unit === 'each' ? 'pieces' : product.unit}`
                : t('visits.paperSheet.tests'),
          })}{' '}
          <Blank />
        </p>
      ))}
      {step.choices ? (
        <p className="mb-1">
          {step.choices.map((choice) => (
            <span key={choice.code} className="me-3">
              <Box /> {choice.label}
            </span>
          ))}
        </p>
      ) : null}
      {step.readings || step.figures ? (
        <p className="mb-1 paper-fields">
          {step.readings?.map((kind) => (
            <span key={kind}>
              {t(`water.readingNames.${kind}`)} <Blank /> {SHOWN_UNIT[units][readingQuantity(kind)][readingScale(kind)]}
            </span>
          ))}
          {step.figures?.map((figure) => (
            <span key={figure}>
              {t(`visits.figureNames.${figure}`)} <Blank />{' '}
              {SHOWN_UNIT[units][STEP_FIGURES[figure].quantity][figureScale(figure)]}
            </span>
          ))}
        </p>
      ) : null}
      {care.map((task) => {
        const patch = field.plants.find((p) => p.id === task.patchId)
        return patch ? (
          <p key={`${task.patchId}${task.action}`} className="mb-1">
            <Box /> {t(`plants.plantActionNames.${task.action}`)}: {patch.count} {speciesName(patch.species, t)}
          </p>
        ) : null
      })}
      {step.timerMinutes ? (
        <p className="mb-1">
          {t('visits.paperSheet.from', { timerMinutes: duration(step.timerMinutes) })} <Blank />{' '}
          {t('visits.paperSheet.to')} <Blank />
        </p>
      ) : null}
      {step.kind === 'count-fish' ? (
        <p className="mb-1 paper-fields">
          {[...new Set(pond.fish.map((f) => f.species))].map((species) => (
            <span key={species}>
              {t(`ponds.fishNames.${species}`)} <Blank />
            </span>
          ))}
          <span>
            {t('visits.paperSheet.lost')} <Blank />
          </span>
        </p>
      ) : null}
      {step.kind === 'sign' ? (
        <p className="mb-1">
          {t('visits.paperSheet.told')} <Blank wide />
        </p>
      ) : null}
    </div>
  )
}
