import type { Metadata } from 'next'
import { WeekLines } from '@/features/progress/components/week-lines'
import { reviewForTeachers } from '@/features/progress/review-queries'
import { PasteNames } from '@/features/students/components/add-students'
import { isBetweenClasses } from '@/features/today/between'
import { TodayScreen } from '@/features/today/components/today-screen'
import { todayData } from '@/features/today/queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Today' }

export default page((ctx) => {
  const data = todayData(ctx)
  const review = isBetweenClasses(data) ? reviewForTeachers(ctx) : null
  return (
    <TodayScreen
      data={data}
      addPeople={<PasteNames />}
      week={review ? <WeekLines review={review} /> : null}
    />
  )
})
