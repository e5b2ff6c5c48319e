/** A calendar day in the studio's zone, `YYYY-MM-DD`. Days compare as strings. */
export type Day = string

const MS_PER_DAY = 86_400_000

/** Whole days from `earlier` to `later`; negative when the order is the other way. */
export function daysBetween(earlier: Day, later: Day): number {
  return Math.round((Date.parse(`${later}T00:00:00Z`) - Date.parse(`${earlier}T00:00:00Z`)) / MS_PER_DAY)
}

/** The day a number of days later (or earlier, when negative). */
export function addDays(day: Day, days: number): Day {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10)
}

/** The first day from `from` on (that day included) that falls on a weekday, 1 Monday to 7 Sunday. */
export function nextWeekday(from: Day, weekday: number): Day {
  const own = new Date(`${from}T00:00:00Z`).getUTCDay() || 7
  return addDays(from, (weekday - own + 7) % 7)
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** `5 Mar 2026`. */
export function formatDay(day: Day): string {
  const [year = '', month = '1', date = '1'] = day.split('-')
  return `${Number(date)} ${MONTHS[Number(month) - 1] ?? month} ${year}`
}

/** The same without its year, where the year is plain: `3 Mar`. */
export function shortDay(day: Day): string {
  return formatDay(day).replace(/ \d{4}$/, '')
}
