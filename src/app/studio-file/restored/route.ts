import { backupIn } from '@/features/studio-file/restore-requests'

export const dynamic = 'force-dynamic'

export function POST(request: Request): Promise<Response> {
  return backupIn(request)
}
