import type { Line } from './library-page'

/** What a teacher asks first, answered in a sentence or two; the marks have words of their own. */
export const HELP: readonly { readonly title: string; readonly lines: readonly Line[] }[] = [
  {
    title: 'Beginning',
    lines: [
      [
        'A new studio',
        'Paste the names, say how wide the wall is and how many blocks there are: a first plan stands.',
      ],
      [
        'Who stands where',
        'Place by eye takes a whole list at once, one rung for each person. Leave out whom you do not know.',
      ],
      [
        'Health first',
        'Until somebody’s health questions are answered, nothing with a high fall, weight on the head or a loaded neck is offered.',
      ],
    ],
  },
  {
    title: 'Readiness',
    lines: [
      [
        'A clean day',
        'A day on which the check or the try went well, watched, without a fault that makes it worthless. Most things are asked on more than one.',
      ],
      [
        'More such days',
        'A result well above the mark counts for more than one at the mark; so “two more days, or fewer well above it”.',
      ],
      ['By eye', 'Your word, for 28 days. It credits what comes before and opens nothing with a high fall.'],
      [
        'Closed for now',
        'A limit stands in the way. The screen says what is done instead and, on the page of limits, what would lift it.',
      ],
      [
        'An offer',
        'An invitation for you to look. First kicks, free balances and head loads wait for your own look.',
      ],
    ],
  },
  {
    title: 'Setups',
    lines: [
      ['±', 'How far the number may be out on this body. A length you measure makes it smaller.'],
      ['Within', 'How near the way without a tape comes to the number.'],
      [
        'Arms carry',
        'The part of body weight that hands or forearms hold. Where it can lie differently, least and most are shown.',
      ],
      ['The plumb line', 'It falls from the middle of the body’s weight. Over the green line nothing tips.'],
    ],
  },
  {
    title: 'In the room',
    lines: [
      [
        'Without a network',
        'Taps stay on the device and go when the server is back. The strip says what waits.',
      ],
      [
        'P',
        'Hides the words of limits on this screen and shuts the health notes. Press it again to show them.',
      ],
      [
        'A wrong tap',
        'Undo it at once, or correct it later on the person’s page. The first entry stays on record.',
      ],
    ],
  },
]
