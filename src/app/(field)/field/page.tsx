import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { FieldApp } from '@/ui/field/field-app'

export const metadata: Metadata = { title: firmTexts()('shell.pages.fieldSheet') }

export default function FieldPage() {
  return <FieldApp />
}
