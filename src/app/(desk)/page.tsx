import { forPage } from '@/server/platform/http/page-actor'
import { todayPage } from '@/server/today/today'
import { TodayView } from '@/ui/today/today-view'

export default async function TodayPage() {
  return <TodayView data={await forPage(todayPage)} />
}
