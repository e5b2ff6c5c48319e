import { createTheme, type MantineColorsTuple } from '@mantine/core'

/** Deep plum, the primary; index 7 is the colour of interface.md. */
const plum: MantineColorsTuple = [
  '#f9f1f6',
  '#eedde8',
  '#dcbdd0',
  '#c89bb7',
  '#b57ca0',
  '#a1648b',
  '#855073',
  '#6a3a5b',
  '#552c49',
  '#412037',
]
/** Sky-slate as a quiet second. */
const slate: MantineColorsTuple = [
  '#f0f4f5',
  '#dde6e9',
  '#bccdd3',
  '#99b3bc',
  '#7b9ba7',
  '#5f7f8c',
  '#4f6b77',
  '#405863',
  '#31464f',
  '#22333b',
]
/** Clay, for what needs care. */
const clay: MantineColorsTuple = [
  '#fdf2ed',
  '#f6ded3',
  '#ebbfab',
  '#df9d80',
  '#d17f5a',
  '#b5623f',
  '#985032',
  '#7b3f27',
  '#60301d',
  '#462214',
]

/** Warm greys, so that quiet fills sit on the paper and not beside it. */
const gray: MantineColorsTuple = [
  '#f8f4eb',
  '#f1ebdf',
  '#e6decf',
  '#d6ccba',
  '#bcb19e',
  '#8f8675',
  '#6f6759',
  '#575045',
  '#3f3a32',
  '#2a2721',
]

export const theme = createTheme({
  colors: { plum, slate, clay, gray },
  primaryColor: 'plum',
  primaryShade: { light: 7, dark: 6 },
  autoContrast: true,
  luminanceThreshold: 0.35,
  fontFamily: "'Source Sans 3 Variable', sans-serif",
  headings: {
    ...{ fontFamily: "'Source Sans 3 Variable', sans-serif", fontWeight: '600' },
    sizes: {
      h2: { fontSize: 'var(--mantine-font-size-lg)' },
      h3: { fontSize: 'var(--mantine-font-size-md)' },
    },
  },
  defaultRadius: 'sm',
  components: {
    // Most buttons are quiet; the one that a screen is for is filled.
    Button: { defaultProps: { size: 'md', variant: 'default' } },
    TextInput: { defaultProps: { size: 'md' } },
    PasswordInput: { defaultProps: { size: 'md' } },
    FileInput: { defaultProps: { size: 'md' } },
    Textarea: { defaultProps: { size: 'md' } },
    Select: { defaultProps: { size: 'md', allowDeselect: false } },
    NumberInput: { defaultProps: { size: 'md' } },
    Autocomplete: { defaultProps: { size: 'md' } },
    MultiSelect: { defaultProps: { size: 'md' } },
    Chip: { defaultProps: { variant: 'outline' } },
    Checkbox: { defaultProps: { size: 'md' } },
  },
})
