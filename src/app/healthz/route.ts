import { healthResponse } from '@/features/studio/health-check'

export const dynamic = 'force-dynamic'

export function GET(): Response {
  return healthResponse()
}
