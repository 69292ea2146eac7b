import { FirmPeriodInput } from '@/domain/firm-period'
import { signedInRoute } from '@/server/http/route'
import { addFirmPeriod } from '@/server/use-cases/firm-periods'

export const POST = signedInRoute({ body: FirmPeriodInput }, ({ actor, body }) => addFirmPeriod(actor, body))
