'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { NOTICE_KINDS, NOTICE_WORDS, NoticeTemplates } from '@/domain/messages/notice'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

/** The firm's own words for each kind of letter. */
export function TemplatesForm({ kept }: { kept: { readonly templates: NoticeTemplates; readonly version: number } }) {
  const t = useTexts()

  const [seenVersion, setSeenVersion] = useState(kept.version)
  const { form, field, errorOf, submit, problem, saved, sending } = useSchemaForm({
    schema: NoticeTemplates,
    values: kept.templates,
    part: 'templates',
  })
  return (
    <form
      noValidate
      onSubmit={submit(
        (body) => send('PUT', '/api/v1/notice-templates', { version: seenVersion, templates: body }),
        () => setSeenVersion(seenVersion + 1),
      )}
    >
      <p className="soft small">
        {t('messages.templatesForm.wordsBracesFilledEach')} {NOTICE_WORDS.map((w) => `{${w}}`).join(', ')}.
      </p>
      {NOTICE_KINDS.map((kind) => (
        <details key={kind} open={Boolean(errorOf(`${kind}.subject`) || errorOf(`${kind}.body`))} className="mb-2">
          <summary>{t(`messages.noticeNames.${kind}`)}</summary>
          <TextField
            label={t('messages.templatesForm.subject', { kind: t(`messages.noticeNames.${kind}`) })}
            {...field(`${kind}.subject`)}
          />
          <label className="d-block mt-2">
            <span className="form-label">
              {t('messages.templatesForm.text', { kind: t(`messages.noticeNames.${kind}`) })}
            </span>
            <textarea
              className={`form-control ${errorOf(`${kind}.body`) ? 'is-invalid' : ''}`}
              rows={8}
              {...form.register(`${kind}.body`)}
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
      <button className="btn btn-outline-primary" disabled={sending}>
        {t('messages.templatesForm.saveWords')}
      </button>
    </form>
  )
}
