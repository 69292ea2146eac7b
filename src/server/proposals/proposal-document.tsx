import type { Region } from '@/domain/shared/region'
import { type Texts, firmTexts } from '@/messages/texts'
import { Document, Page, Text, View } from '@react-pdf/renderer'
import { siteSheet } from '@/core/drawing/site-sheet'
import { planSheet, sectionSheet } from '@/core/drawing/bed-sheets'
import { DIMENSION_FIGURES } from '@/core/drawing/sheet'
import { fishLoad, grownFish } from '@/core/fish/load'
import { formatQuantity } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { longDate } from '@/domain/shared/dates'
import { trainWords } from '@/messages/design/train-words'
import { optionFacts, PROPOSAL_CAUTIONS } from '@/domain/proposals/proposal-facts'
import { money } from '@/domain/prices/pricing'
import type { ProposedOutlook } from '@/domain/proposals/proposal'
import { verdictLines } from '@/messages/forecasts/what-if-words'
import { BeforeAfterPaper } from './before-after-paper'
import type { PublicProposal } from '@/server/proposals/proposals'
import { paper, paperSize } from '@/server/platform/paper/pdf-paper'
import { SheetPdf } from '@/server/platform/paper/sheet-pdf'
import { sheetWords } from '@/messages/drawing/sheet-words'

const WIDTH_PT = 507 // A4, the narrower of the papers, less the page's padding

/** The proposal on paper: says the same as the page behind the private link. */
export function ProposalDocument({ publicProposal, region }: { publicProposal: PublicProposal; region: Region }) {
  const t = firmTexts()

  const { content } = publicProposal
  const show = (value: number, kind: QuantityKind, scale: 'usual' | 'small' = 'usual') =>
    formatQuantity(value, kind, content.units, { scale })
  const write = (m: number) =>
    formatQuantity(m, 'length', content.units, {
      scale: Math.abs(m) < 1 ? 'small' : 'usual',
      significant: DIMENSION_FIGURES,
    }).replaceAll('\u00a0', ' ')
  const { pond, rules } = content
  const weight = (years: number) => show(fishLoad(grownFish(pond.fish, years), 20, rules.feedProtein).massKg, 'mass')
  const fish = pond.fish.reduce((sum, f) => sum + f.count, 0)
  return (
    <Document title={content.title} author={content.firmName} language="en">
      <Page size={paperSize(region)} style={paper.page}>
        <Text style={paper.firm}>{content.firmName}</Text>
        <Text style={paper.title}>{content.title}</Text>
        <Text style={paper.under}>
          {t('proposals.proposalDocument.proposalValidUntil', {
            customerName: content.customerName,
            siteName: content.siteName,
            pondName: content.pondName,
            number: publicProposal.number,
            madeAt: longDate(publicProposal.madeAt.slice(0, 10)),
            validUntil: longDate(publicProposal.validUntil),
          })}
        </Text>
        {content.intro ? (
          <View style={paper.callout}>
            <Text style={paper.line}>{content.intro}</Text>
          </View>
        ) : null}
        {content.options.map((option, i) => {
          const { design, result, bands } = optionFacts(content, i)
          const equipment = trainWords(
            design,
            result,
            (value, kind, options) => formatQuantity(value, kind, content.units, options),
            t,
          )
          return (
            <View key={i}>
              <Text style={paper.heading} minPresenceAhead={80}>
                {t('proposals.proposalDocument.bed', {
                  label: option.label ? `${option.label}: ` : '',
                  areaM2: show(result.areaM2, 'area'),
                  totalMinor: money(option.totalMinor, content.currency),
                })}
              </Text>
              {option.why ? <Text style={paper.line}>{option.why}</Text> : null}
              {design.type === 'none' ? null : (
                <View wrap={false}>
                  {design.layout && pond.ground ? (
                    <SheetPdf
                      sheet={siteSheet(pond.ground, design, sheetWords(write, t))}
                      widthPt={WIDTH_PT}
                      maxHeightPt={260}
                    />
                  ) : null}
                  <SheetPdf sheet={planSheet(design, sheetWords(write, t))} widthPt={WIDTH_PT} maxHeightPt={190} />
                  <SheetPdf sheet={sectionSheet(design, sheetWords(write, t))} widthPt={WIDTH_PT} maxHeightPt={170} />
                </View>
              )}
              <Text style={paper.line}>
                {t('proposals.proposalDocument.pondHoldsUnder', {
                  volumeM3: show(pond.volumeM3, 'volume'),
                  areaM2: show(pond.areaM2, 'area'),
                  fish:
                    fish > 0
                      ? t('proposals.proposalDocument.fishWeighAboutToday', {
                          fish,
                          value: weight(0),
                          growthYears: weight(rules.growthYears),
                          growthYears2: rules.growthYears,
                        })
                      : '',
                })}
              </Text>
              <Text style={paper.line}>
                {result.pump
                  ? t('proposals.proposalDocument.passBedMovedW', {
                      bedFlowM3PerH: show(result.bedFlowM3PerH, 'flow'),
                      name: result.pump.name,
                      powerW: Math.round(result.powerW),
                      energyKWhPerYear: Math.round(result.energyKWhPerYear),
                    })
                  : t('proposals.proposalDocument.nothingPumped')}
              </Text>
              {equipment ? (
                <Text style={paper.line}>{t('proposals.proposalDocument.equipment', { equipment })}</Text>
              ) : null}
              <Text style={paper.line}>
                {t('proposals.proposalDocument.year', {
                  energy: Math.round(result.upkeep.energyKWhPerYear),
                  water: show(result.upkeep.waterM3PerYear, 'volume'),
                })}
              </Text>
              {result.worstTanMgL <= content.rules.targetTanMgL ? (
                <Text style={paper.line}>
                  {t('proposals.proposalDocument.ammoniaExpectedStayBelow', {
                    low: show(bands.worstTanMgL[0], 'concentration'),
                    high: show(bands.worstTanMgL[1], 'concentration'),
                  })}
                </Text>
              ) : null}
              <Text style={[paper.line, paper.muted]}>
                {t('proposals.proposalView.priceTax', { taxMinor: money(option.taxMinor, content.currency) })}
              </Text>
            </View>
          )
        })}
        <BeforeAfterPaper content={content} />
        {content.outlook ? <OutlookText outlook={content.outlook} show={show} /> : null}
        <Text style={paper.heading} minPresenceAhead={60}>
          {t('proposals.proposalView.goodKnow')}
        </Text>
        {PROPOSAL_CAUTIONS.map((caution) => (
          <Text key={caution} style={paper.line}>
            • {t(`proposals.cautions.${caution}`)}
          </Text>
        ))}
        {publicProposal.state === 'accepted' || publicProposal.state === 'declined' ? (
          <Text style={[paper.line, { marginTop: 8 }]}>
            {t('proposals.proposalDocument.by', {
              state:
                publicProposal.state === 'accepted'
                  ? t('proposals.proposalDocument.accepted', { option: acceptedLabel(publicProposal, t) })
                  : t('proposals.proposalDocument.declined'),
              answerName: publicProposal.answerName ?? '',
              answeredAt: publicProposal.answeredAt ? longDate(publicProposal.answeredAt.slice(0, 10)) : '',
            })}
          </Text>
        ) : null}
        <View style={paper.foot} fixed>
          <Text
            render={({ pageNumber, totalPages }) =>
              t('proposals.proposalDocument.proposalPage', {
                firmName: content.firmName,
                number: publicProposal.number,
                pageNumber,
                totalPages,
              })
            }
          />
        </View>
      </Page>
    </Document>
  )
}

/** Which of several options was accepted: ", option Better,". */
const acceptedLabel = ({ content, answerOption }: PublicProposal, t: Texts): string => {
  const label = answerOption === null ? '' : content.options[answerOption]?.label
  return label ? t('proposals.proposalDocument.option', { label }) : ''
}

/** The outcome of the what-if in words: paper has no day to turn. */
function OutlookText({
  outlook,
  show,
}: {
  outlook: ProposedOutlook
  show: (value: number, kind: QuantityKind) => string
}) {
  const t = firmTexts()

  const { names, options, days } = outlook
  const lines = options.slice(1).flatMap(({ measures }, i) =>
    verdictLines(options[0]!.measures, measures, days, show, t).map((line) =>
      t('proposals.proposalDocument.against', {
        names: names[i + 1]!,
        names2: names[0]!,
        text: line.text,
        sure: line.sure,
      }),
    ),
  )
  return (
    <View>
      <Text style={paper.heading} minPresenceAhead={60}>
        {t('proposals.waterOutlook.whatWaterWouldDo')}
      </Text>
      <Text style={[paper.line, paper.muted]}>
        {t('proposals.proposalDocument.fromDaysModelYour', {
          question: outlook.question,
          from: longDate(outlook.from),
          days,
          count: options[0]!.measures.length,
        })}
      </Text>
      {lines.length === 0 ? <Text style={paper.line}>{t('forecasts.verdict.noDifferenceTheseRuns')}</Text> : null}
      {lines.map((line) => (
        <Text key={line} style={paper.line}>
          • {line}
        </Text>
      ))}
    </View>
  )
}
