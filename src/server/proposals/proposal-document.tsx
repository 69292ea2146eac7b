import { firmTexts } from '@/messages/texts'
import { Document, Page, Text, View } from '@react-pdf/renderer'
import { planSheet, sectionSheet } from '@/core/drawing/bed-sheets'
import { fishLoad, grownFish } from '@/core/fish/load'
import { formatQuantity } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { longDate } from '@/domain/shared/dates'
import { optionFacts, PROPOSAL_CAUTIONS } from '@/domain/proposals/offer-facts'
import { money } from '@/domain/prices/pricing'
import type { OfferedOutlook } from '@/domain/proposals/proposal'
import { verdictLines } from '@/messages/what-if-words'
import type { Offer } from '@/server/proposals/proposals'
import { paper } from '@/server/platform/paper/pdf-paper'
import { SheetPdf } from '@/server/platform/paper/sheet-pdf'

const WIDTH_PT = 507 // A4 less the page's padding

/** The proposal on paper: says the same as the page behind the private link. */
export function ProposalDocument({ offer }: { offer: Offer }) {
  const { content } = offer
  const show = (value: number, kind: QuantityKind, scale: 'usual' | 'small' = 'usual') => formatQuantity(value, kind, content.units, { scale })
  const write = (m: number) => show(m, 'length', Math.abs(m) < 1 ? 'small' : 'usual').replaceAll('\u00a0', ' ')
  const { pond, practice } = content
  const weight = (years: number) => show(fishLoad(grownFish(pond.fish, years), 20, practice.feedProtein).massKg, 'mass')
  const fish = pond.fish.reduce((sum, f) => sum + f.count, 0)
  return (
    <Document title={content.title} author={content.firmName} language="en">
      <Page size="A4" style={paper.page}>
        <Text style={paper.firm}>{content.firmName}</Text>
        <Text style={paper.title}>{content.title}</Text>
        <Text style={paper.under}>
          For {content.customerName}, {content.siteName}: {content.pondName} · proposal {offer.number} of {longDate(offer.madeAt.slice(0, 10))} · valid until{' '}
          {longDate(offer.validUntil)}
        </Text>
        {content.intro ? (
          <View style={paper.callout}>
            <Text style={paper.line}>{content.intro}</Text>
          </View>
        ) : null}
        {content.options.map((option, i) => {
          const { result } = optionFacts(content, i)
          return (
            <View key={i}>
              <Text style={paper.heading} minPresenceAhead={80}>
                {option.label ? `${option.label}: ` : ''}
                {show(result.areaM2, 'area')} of bed, {money(option.totalMinor, content.currency)}
              </Text>
              {option.why ? <Text style={paper.line}>{option.why}</Text> : null}
              {option.design.type === 'none' ? null : (
                <View wrap={false}>
                  <SheetPdf sheet={planSheet(option.design, write)} widthPt={WIDTH_PT} mostHeightPt={190} />
                  <SheetPdf sheet={sectionSheet(option.design, write)} widthPt={WIDTH_PT} mostHeightPt={170} />
                </View>
              )}
              <Text style={paper.line}>
                • The pond holds {show(pond.volumeM3, 'volume')} under {show(pond.areaM2, 'area')}
                {fish > 0 ? `; its ${fish} fish weigh about ${weight(0)} today and ${weight(practice.growthYears)} in ${practice.growthYears} years` : ''}.
              </Text>
              <Text style={paper.line}>
                • {show(result.bedFlowM3PerH, 'flow')} pass the bed, moved by {result.pump.name} with {Math.round(result.powerW)} W (
                {Math.round(result.energyKWhPerYear)} kWh a year).
              </Text>
              {result.worstTanMgL <= content.practice.targetTanMgL ? (
                <Text style={paper.line}>• Ammonia is expected to stay at or below {show(result.worstTanMgL, 'concentration')} all year.</Text>
              ) : null}
              <Text style={[paper.line, paper.muted]}>Price with {money(option.taxMinor, content.currency)} tax.</Text>
            </View>
          )
        })}
        {content.outlook ? <OutlookText outlook={content.outlook} show={show} /> : null}
        <Text style={paper.heading} minPresenceAhead={60}>
          Good to know
        </Text>
        {PROPOSAL_CAUTIONS.map((caution) => (
          <Text key={caution} style={paper.line}>
            • {caution}
          </Text>
        ))}
        {offer.state === 'accepted' || offer.state === 'declined' ? (
          <Text style={[paper.line, { marginTop: 8 }]}>
            {offer.state === 'accepted' ? `Accepted${acceptedLabel(offer)}` : 'Declined'} by {offer.answerName},{' '}
            {offer.answeredAt ? longDate(offer.answeredAt.slice(0, 10)) : ''}.
          </Text>
        ) : null}
        <View style={paper.foot} fixed>
          <Text render={({ pageNumber, totalPages }) => `${content.firmName} · proposal ${offer.number} · page ${pageNumber} of ${totalPages}`} />
        </View>
      </Page>
    </Document>
  )
}

/** Which of several options was accepted: ", option Better,". */
const acceptedLabel = ({ content, answerOption }: Offer): string => {
  const label = answerOption === null ? '' : content.options[answerOption]?.label
  return label ? ` (option ${label})` : ''
}

/** The outcome of the what-if in words: paper has no day to turn. */
function OutlookText({ outlook, show }: { outlook: OfferedOutlook; show: (value: number, kind: QuantityKind) => string }) {
  const { names, ways, days } = outlook
  const lines = ways
    .slice(1)
    .flatMap(({ measures }, i) =>
      verdictLines(ways[0].measures, measures, days, show, firmTexts()).map((line) => `${names[i + 1]}, against ${names[0]}: ${line.text} (${line.sure}).`),
    )
  return (
    <View>
      <Text style={paper.heading} minPresenceAhead={60}>
        What the water would do
      </Text>
      <Text style={[paper.line, paper.muted]}>
        {outlook.question}, from {longDate(outlook.from)} for {days} days. A model of your pond, run {ways[0].measures.length} times with other weather.
      </Text>
      {lines.length === 0 ? <Text style={paper.line}>No difference that these runs could tell from chance.</Text> : null}
      {lines.map((line) => (
        <Text key={line} style={paper.line}>
          • {line}
        </Text>
      ))}
    </View>
  )
}
