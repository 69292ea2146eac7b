import { Text, View } from '@react-pdf/renderer'
import { beforeAfter, BEFORE_AFTER_ROWS } from '@/domain/proposals/before-after'
import type { ProposalContent } from '@/domain/proposals/proposal'
import { comparedFigure, comparedName } from '@/messages/proposals/before-after-words'
import { firmTexts } from '@/messages/texts'
import { paper } from '@/server/platform/paper/pdf-paper'

const ROW = { flexDirection: 'row', gap: 8 } as const
const NAME = { flexGrow: 1, flexBasis: 0 } as const
const FIGURE = { width: 110 } as const

/** The filter as it was found beside what is proposed, on paper. */
export function BeforeAfterPaper({ content }: { content: ProposalContent }) {
  const t = firmTexts()
  const filters = beforeAfter(content)
  if (!filters) return null
  return (
    <View wrap={false}>
      <Text style={paper.heading}>{t('proposals.beforeAfter.title')}</Text>
      <View style={ROW}>
        <Text style={[paper.line, NAME]}> </Text>
        {filters.map((filter) => (
          <Text key={filter.option ?? 'today'} style={[paper.line, FIGURE, paper.muted]}>
            {comparedName(filter, content, t)}
          </Text>
        ))}
      </View>
      {BEFORE_AFTER_ROWS.map((row) => (
        <View key={row} style={ROW}>
          <Text style={[paper.line, NAME]}>{t(`proposals.beforeAfterRows.${row}`)}</Text>
          {filters.map((filter) => (
            <Text key={filter.option ?? 'today'} style={[paper.line, FIGURE]}>
              {comparedFigure(row, filter, content, t)}
            </Text>
          ))}
        </View>
      ))}
      <Text style={[paper.line, paper.muted]}>{t('proposals.beforeAfter.calculated')}</Text>
    </View>
  )
}
