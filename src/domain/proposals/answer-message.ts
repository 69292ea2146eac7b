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
export function answerLetter({ number, title, siteName, accepted, answerName, option, note, href }: AnswerTold): {
  subject: string
  text: string
} {
  const chosen = option ? ` (option ${option})` : ''
  const did = accepted ? `accepted${chosen}` : 'declined'
  return {
    subject: `Proposal ${number} ${did}: ${siteName}`,
    text: [
      `${answerName} ${did} proposal ${number}, “${title}”, for ${siteName}.`,
      ...(note.trim() === '' ? [] : ['', `Their note: ${note.trim()}`]),
      ...(accepted
        ? [
            '',
            'Other proposals that were open for this pond are withdrawn. Next: approve that version and plan the work.',
          ]
        : []),
      ...(href === '' ? [] : ['', href]),
    ].join('\n'),
  }
}
