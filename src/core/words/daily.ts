/** What may be ticked at the door, short enough for a thumb; scales and touch are asked apart. */
export const DAILY_WORD: Readonly<Record<string, string>> = {
  'D4:one': 'Ate under an hour ago',
  'D4:two': 'Ate one to two hours ago',
  'D5:ears': 'Ears, sinuses or a heavy cold',
  'D5:head': 'Headache or a sore eye',
  'D5:dizzy': 'Dizzy',
  'D5:reflux': 'Heartburn',
  'D5:fever': 'Fever',
  'D6:slowed': 'Alcohol, or something that slows',
  'D8:changed': 'Something has changed',
  'D9:gentle': 'Gentler tonight, no reason',
}
