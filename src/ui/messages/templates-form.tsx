'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { NOTICE_KINDS, NOTICE_WORDS, type NoticeKind, type NoticeTemplates } from '@/domain/messages/notice'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'

/** The firm's own words for each kind of letter. */
export function TemplatesForm({ kept }: { kept: { readonly templates: NoticeTemplates; readonly version: number } }) {
  const t = useTexts()

  const [templates, setTemplates] = useState(kept.templates)
  const [seenVersion, setSeenVersion] = useState(kept.version)
  const { problem, saved, errorOf, touched, save } = useSave('templates')
  const put = (kind: NoticeKind, part: Partial<NoticeTemplates[NoticeKind]>) => {
    touched()
    setTemplates({ ...templates, [kind]: { ...templates[kind], ...part } })
  }
  const keep = async () => {
    if (await save('PUT', '/api/v1/notice-templates', { version: seenVersion, templates }))
      setSeenVersion(seenVersion + 1)
  }
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        void keep()
      }}
    >
      <p className="soft small">
        {t('messages.templatesForm.wordsBracesFilledEach')} {NOTICE_WORDS.map((w) => `{${w}}`).join(', ')}.
      </p>
      {NOTICE_KINDS.map((kind) => (
        <details key={kind} open={Boolean(errorOf(`${kind}.subject`) || errorOf(`${kind}.body`))} className="mb-2">
          <summary>{t(`messages.noticeNames.${kind}`)}</summary>
          <TextField
            label={t('messages.templatesForm.subject', { kind: t(`messages.noticeNames.${kind}`) })}
            value={templates[kind].subject}
            onChange={(e) => put(kind, { subject: e.target.value })}
            error={errorOf(`${kind}.subject`)}
          />
          <label className="d-block mt-2">
            <span className="form-label">
              {t('messages.templatesForm.text', { kind: t(`messages.noticeNames.${kind}`) })}
            </span>
            <textarea
              className={`form-control ${errorOf(`${kind}.body`) ? 'is-invalid' : ''}`}
              rows={8}
              value={templates[kind].body}
              onChange={(e) => put(kind, { body: e.target.value })}
            />
            {errorOf(`${kind}.body`) ? (
              <span className="invalid-feedback d-block">{errorOf(`${kind}.body`)}</span>
            ) : null}
          </label>
        </details>
      ))}
      <ProblemNote problem={problem} />
      <p role="status" className="mb-2">
        {saved ? t('messages.templatesForm.savedNextMessagesUse') : ''}
      </p>
      <button className="btn btn-outline-primary">{t('messages.templatesForm.saveWords')}</button>
    </form>
  )
}
