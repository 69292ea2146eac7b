import type { Texts } from '../texts'

/** What a customer answered to a proposal, for those who wait for it. */
export interface AnswerTold {
  readonly number: number
  readonly title: string
  readonly siteName: string
  readonly accepted: boolean
  readonly answerName: string
  /** Label of the accepted option; null where there was one only. */
  readonly option: string | null
  readonly note: string
  /** Address of the proposal at the desk. */
  readonly href: string
}

/** The letter to a proposal's author and the office. */
export function answerLetter(answer: AnswerTold, t: Texts): { subject: string; text: string } {
  const { number, title, siteName, accepted, answerName, note, href } = answer
  const values = {
    number,
    title,
    site: siteName,
    name: answerName,
    answer: accepted ? 'accepted' : 'declined',
    option: answer.option ?? '_',
  }
  const parts = [
    t('proposals.answerLetter.what', values),
    note.trim() === '' ? '' : t('proposals.answerLetter.note', { note: note.trim() }),
    accepted ? t('proposals.answerLetter.next') : '',
  ].filter(Boolean)
  return {
    subject: t('proposals.answerLetter.subject', values),
    text: [parts.join('\n\n'), ...(href === '' ? [] : ['', href])].join('\n'),
  }
}
