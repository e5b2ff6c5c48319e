import { searchOn, type SearchAsked, type SearchTold } from '@/core/planning/search'

/** Searches beside the page, so that it answers meanwhile; it ends when the page ends it. */
addEventListener('message', ({ data }: MessageEvent<SearchAsked>) => {
  searchOn(data, (told: SearchTold) => postMessage(told))
})
