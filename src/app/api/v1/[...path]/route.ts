import { answerApi } from '@/features/api/request'

export const dynamic = 'force-dynamic'

export async function GET(
  request: Request,
  { params }: { params: Promise<{ path: string[] }> },
): Promise<Response> {
  return answerApi(request, (await params).path)
}
