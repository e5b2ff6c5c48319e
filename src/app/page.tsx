import type { Metadata } from 'next'
import { PasteNames } from '@/features/students/components/add-students'
import { TodayScreen } from '@/features/today/components/today-screen'
import { todayData } from '@/features/today/queries'

export const metadata: Metadata = { title: 'Today' }

export default function TodayPage() {
  return <TodayScreen data={todayData()} addPeople={<PasteNames />} />
}
