import { bundleIn } from '@/features/studio-file/bundle-requests'

export const dynamic = 'force-dynamic'

export function POST(request: Request): Promise<Response> {
  return bundleIn(request)
}
