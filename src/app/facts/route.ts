import { receiveRequest } from '@/features/facts/request'

export const dynamic = 'force-dynamic'

export function POST(request: Request): Promise<Response> {
  return receiveRequest(request)
}
