import 'server-only'
import { StoreRefusal } from '@/db/migrate'
import { here } from '../page'
import { shellData } from './queries'

/** What goes round every page, or why nothing can be shown at all. */
export async function shellHere(): Promise<
  (ReturnType<typeof shellData> & { hidden: boolean }) | { refusal: StoreRefusal['code']; detail: string }
> {
  try {
    const ctx = await here()
    return { ...shellData(ctx), hidden: ctx.privacy.hidden }
  } catch (error) {
    if (error instanceof StoreRefusal) return { refusal: error.code, detail: error.detail }
    throw error
  }
}
