import { recordOf } from '@/core/numeric/record-of'
import { NOTICE_KINDS, NOTICE_WORDS, type NoticeTemplates } from '@/domain/messages/notice'
import type { Texts } from '../texts'

/** The words in braces, left as they are: a firm edits its templates with them. */
const WORDS = recordOf(NOTICE_WORDS, (word) => `{${word}}`)

/** The templates that a firm has until it writes its own. */
export const defaultTemplates = (t: Texts): NoticeTemplates =>
  recordOf(NOTICE_KINDS, (kind) => ({
    subject: t(`messages.templateSubjects.${kind}`, WORDS),
    body: t(`messages.templateBodies.${kind}`, WORDS),
  }))
