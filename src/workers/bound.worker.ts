import type { Model } from '@/core/planning/model'
import { boundOf } from './highs'

/** Reckons what no plan can pass, beside the page; it ends when the page ends it. */
addEventListener('message', ({ data }: MessageEvent<{ readonly model: Model }>) => {
  const file = new URL('../../node_modules/highs/build/highs.wasm', import.meta.url).href
  void boundOf(data.model, file).then(
    (bound) => postMessage({ bound }),
    () => postMessage({ bound: null }),
  )
})
