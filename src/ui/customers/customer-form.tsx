'use client'
import { useTexts } from '@/ui/kit/texts'
import { CustomerInput, type Customer } from '@/domain/customers/customer'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

/** How a customer is called and reached. */
export function CustomerForm({ customer }: { customer: Customer }) {
  const t = useTexts()

  const { field, submit, problem, saved, sending } = useSchemaForm({
    schema: CustomerInput,
    values: { name: customer.name, email: customer.email, phone: customer.phone },
    part: 'customer',
  })
  return (
    <form
      className="mt-2"
      noValidate
      onSubmit={submit((body) =>
        send('PUT', `/api/v1/customers/${customer.id}`, { version: customer.version, customer: body }),
      )}
    >
      <div className="field-grid">
        <TextField label={t('customers.customerForm.name')} {...field('name')} />
        <TextField label={t('customers.customerForm.eMail')} {...field('email')} />
        <TextField label={t('customers.customerForm.phone')} {...field('phone')} />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary" disabled={sending}>
        {t('customers.customerForm.saveCustomer')}
      </button>{' '}
      <span role="status" className="small">
        {saved ? t('customers.customerForm.saved') : ''}
      </span>
    </form>
  )
}
