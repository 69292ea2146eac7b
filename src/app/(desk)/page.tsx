import { forPage } from '@/server/http/page-actor'
import { todayPage } from '@/server/use-cases/today'
import { TodayView } from '@/ui/today/today-view'

export default async function TodayPage() {
  return <TodayView data={await forPage(todayPage)} />
}
