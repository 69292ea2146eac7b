import { FirmPeriodInput } from '@/domain/firm/firm-period'
import { signedInRoute } from '@/server/platform/http/route'
import { addFirmPeriod } from '@/server/firm/firm-periods'

export const POST = signedInRoute({ body: FirmPeriodInput }, ({ actor, body }) => addFirmPeriod(actor, body))
