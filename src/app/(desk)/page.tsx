import type { Metadata } from 'next'
import { PasteNames } from '@/features/students/components/add-students'
import { TodayScreen } from '@/features/today/components/today-screen'
import { todayData } from '@/features/today/queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Today' }

export default page((ctx) => {
  return <TodayScreen data={todayData(ctx)} addPeople={<PasteNames />} />
})
