/** Said for a private link that opens nothing, and while too many of those were tried. */
export const LINK_SAID = {
  ended: { title: 'This link has ended', text: 'Ask whoever gave it to you for a new one.' },
  wait: {
    title: 'Not just now',
    text: 'Too many wrong links were tried in a row. Wait a few minutes, then open yours once more.',
  },
} as const
export type LinkClosed = keyof typeof LINK_SAID
