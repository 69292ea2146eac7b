'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRef, useState } from 'react'
import { fileText } from '@/domain/shared/file-text'
import { saidWords } from '@/messages/said'

const MAX_BYTES = 900_000

interface FileButtonProps {
  readonly label: string
  readonly accept: string
  readonly onText: (text: string, name: string) => void
  readonly onTooLarge?: () => void
}

/** A button that opens a text file and hands over what is in it. */
export function FileButton({ label, accept, onText, onTooLarge }: FileButtonProps) {
  const t = useTexts()

  const input = useRef<HTMLInputElement>(null)
  const [refused, setRefused] = useState('')
  return (
    <>
      <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => input.current?.click()}>
        {label}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="visually-hidden"
        tabIndex={-1}
        aria-label={t('kit.fileButton.file', { label })}
        onChange={async (event) => {
          const file = event.target.files?.[0]
          // the same file may be chosen again after it was mended
          event.target.value = ''
          if (!file) return
          if (file.size > MAX_BYTES) {
            if (!onTooLarge) setRefused(t('kit.fileButton.fileLargerThanMb', { mostBytes: MAX_BYTES / 1e6 }))
            return onTooLarge?.()
          }
          const read = fileText(new Uint8Array(await file.arrayBuffer()))
          setRefused(read.ok ? '' : saidWords(read.message, t))
          if (read.ok) onText(read.text, file.name)
        }}
      />
      {refused ? (
        <span role="alert" className="field-error w-100">
          {refused}
        </span>
      ) : null}
    </>
  )
}
