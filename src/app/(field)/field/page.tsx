import type { Metadata } from 'next'
import { FieldApp } from '@/ui/field/field-app'

export const metadata: Metadata = { title: 'Field sheet' }

export default function FieldPage() {
  return <FieldApp />
}
