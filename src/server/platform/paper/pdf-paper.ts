import { Font, StyleSheet } from '@react-pdf/renderer'
import { join } from 'node:path'
import { PAPER } from '@/core/drawing/palette'
import { REGION_HABITS, type Region } from '@/domain/shared/region'

const fontFile = (family: string, name: string) =>
  join(process.cwd(), 'node_modules', '@expo-google-fonts', family, name)

Font.register({
  family: 'Text',
  fonts: [
    { src: fontFile('atkinson-hyperlegible-next', '400Regular/AtkinsonHyperlegibleNext_400Regular.ttf') },
    { src: fontFile('atkinson-hyperlegible-next', '700Bold/AtkinsonHyperlegibleNext_700Bold.ttf'), fontWeight: 700 },
  ],
})
Font.register({ family: 'Title', src: fontFile('literata', '600SemiBold/Literata_600SemiBold.ttf') })
Font.registerHyphenationCallback((word) => [word])

/** Sheet that a region's printers hold, as it is named to the maker of PDFs. */
export const paperSize = (region: Region): 'A4' | 'LETTER' => (REGION_HABITS[region].paper === 'A4' ? 'A4' : 'LETTER')

/** Fonts and styles that everything the firm hands out on paper shares. */
export const paper = StyleSheet.create({
  page: { padding: 44, fontFamily: 'Text', fontSize: 10, color: PAPER.ink },
  firm: { fontFamily: 'Title', fontSize: 11, color: PAPER.reed },
  title: { fontFamily: 'Title', fontSize: 21, marginTop: 6, marginBottom: 8, lineHeight: 1.2 },
  under: { color: PAPER.soft, marginBottom: 14 },
  heading: { fontFamily: 'Title', fontSize: 12.5, marginTop: 14, marginBottom: 4 },
  callout: { borderLeft: `3pt solid ${PAPER.reed}`, paddingLeft: 10, paddingVertical: 4, marginTop: 4 },
  // not on the page: a line height there swallows the page numbers
  line: { marginBottom: 1.5, lineHeight: 1.35 },
  muted: { color: PAPER.soft },
  foot: { position: 'absolute', bottom: 24, left: 44, right: 44, color: PAPER.soft, fontSize: 8 },
})
