import type { TodayData } from './queries'

/** Whether no class is today: then the week comes first. Nothing is said of it in an empty studio. */
export function isBetweenClasses(data: TodayData): boolean {
  return data.state === 'no-class' || (data.state === 'class' && !data.isToday)
}
