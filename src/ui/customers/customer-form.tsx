'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { Customer } from '@/domain/customers/customer'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'

/** How a customer is called and reached. */
export function CustomerForm({ customer }: { customer: Customer }) {
  const t = useTexts()

  const [draft, setDraft] = useState({ name: customer.name, email: customer.email, phone: customer.phone })
  const { problem, saved, errorOf, save } = useSave('customer')
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault()
        void save('PUT', `/api/v1/customers/${customer.id}`, { version: customer.version, customer: draft })
      }}
    >
      <div className="field-grid">
        <TextField
          label={t('customers.customerForm.name')}
          value={draft.name}
          onChange={(e) => setDraft({ ...draft, name: e.target.value })}
          error={errorOf('name')}
        />
        <TextField
          label={t('customers.customerForm.eMail')}
          value={draft.email}
          onChange={(e) => setDraft({ ...draft, email: e.target.value })}
          error={errorOf('email')}
        />
        <TextField
          label={t('customers.customerForm.phone')}
          value={draft.phone}
          onChange={(e) => setDraft({ ...draft, phone: e.target.value })}
          error={errorOf('phone')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">{t('customers.customerForm.saveCustomer')}</button>{' '}
      <span role="status" className="small">
        {saved ? t('customers.customerForm.saved') : ''}
      </span>
    </form>
  )
}
