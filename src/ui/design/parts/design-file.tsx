'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { DESIGN_FORMAT, readDesignFile } from '@/domain/design/design-file'
import { saidWords } from '@/messages/said'
import { FileButton } from '@/ui/kit/file-button'
import { fileName, saveFile } from '@/ui/save-file'
import type { DesignPart } from '../use-design'

/** The whole design as a file: out, and in again here or elsewhere. */
export function DesignFile({ data: { pond }, shown, set }: DesignPart) {
  const t = useTexts()
  const [fileNote, setFileNote] = useState<string | null>(null)
  const designJson = () =>
    JSON.stringify(
      { format: DESIGN_FORMAT, kind: 'pond-filter-design', name: `${pond.name}`.slice(0, 60), design: shown.bed },
      null,
      2,
    )
  const open = (text: string, name: string) => {
    const read = readDesignFile(text)
    if (!read.ok) return setFileNote(`${name}: ${saidWords(read.problem.message, t)}`)
    set(read.value.design)
    setFileNote(t('design.drawingsPart.openedUndoBringsBack', { name }))
  }
  return (
    <section className="sheet">
      <h2>{t('design.drawingsPart.designFile')}</h2>
      <p className="soft">{t('design.drawingsPart.wholeDesignJsonKeep')}</p>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() =>
            saveFile(
              fileName(t('design.drawingsPart.design', { name: pond.name }), 'json'),
              designJson(),
              'application/json',
            )
          }
        >
          {t('design.drawingsPart.saveJson')}
        </button>
        <FileButton
          label={t('design.drawingsPart.openDesignFile')}
          accept=".json"
          onText={open}
          onTooLarge={() => setFileNote(t('design.drawingsPart.fileTooLargeDesign'))}
        />
        <a href="/api/v1/design.schema.json">{t('design.drawingsPart.jsonSchema')}</a>
      </div>
      <p role="status" className="mb-0 mt-2">
        {fileNote}
      </p>
    </section>
  )
}
