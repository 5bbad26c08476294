/** What a gauge or a station can hang on, as a list to choose from. */
export const SURFACES = [
  { value: 'pond', text: 'the pond or stream' },
  { value: 'tail', text: 'the water below the dam' },
];
