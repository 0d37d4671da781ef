import { option } from './option';

/** No foil chosen, one, or two in turn by day (handbook C6). */
export const foils = option<readonly string[]>()(
  'foils',
  {
    schema: { type: 'array', maxItems: 2, uniqueItems: true, items: { type: 'string', minLength: 1 } },
    choices: [
      { value: [], label: 'as it comes' },
      { value: ['gold'], label: 'gold' },
      { value: ['rose-gold'], label: 'rose gold' },
      { value: ['silver'], label: 'silver' },
      { value: ['gold', 'rose-gold'], label: 'gold and rose gold in turn' },
      { value: ['gold', 'silver'], label: 'gold and silver in turn' },
    ],
  },
  [],
  { group: 'Color and finish', label: 'Foil', often: true },
);
