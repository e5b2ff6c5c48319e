import { z } from 'zod'
import { liveResponse } from '@/features/facts/live'

export const dynamic = 'force-dynamic'

export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const { id } = await params
  return z.uuid().safeParse(id).success ? liveResponse(request, id) : new Response(null, { status: 404 })
}
