import type { Metadata } from 'next'
import { WeekLines } from '@/features/progress/components/week-lines'
import { studioReview } from '@/features/progress/review-queries'
import { PasteNames } from '@/features/students/components/add-students'
import { TodayScreen } from '@/features/today/components/today-screen'
import { todayData } from '@/features/today/queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Today' }

export default page((ctx) => {
  const data = todayData(ctx)
  const between = data.state === 'no-class' || (data.state === 'class' && !data.isToday)
  return (
    <TodayScreen
      data={data}
      addPeople={<PasteNames />}
      week={between ? <WeekLines review={studioReview(ctx)} /> : null}
    />
  )
})
