import { bundleOut } from '@/features/studio-file/bundle-requests'

export const dynamic = 'force-dynamic'

export function POST(request: Request): Promise<Response> {
  return bundleOut(request)
}
