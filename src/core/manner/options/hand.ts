import type { Hand } from '../../measure/hand';
import { USUAL_HAND } from '../../measure/hand';
import { option } from './option';

/** The owner’s hand: letters that fit a line of so many mm, and mm from line to line (handbook P4). */
export const hand = option<Hand>()(
  'hand',
  {
    schema: {
      type: 'object',
      additionalProperties: false,
      required: ['lettersPerLine', 'lineWidth', 'linePitch'],
      properties: {
        lettersPerLine: { type: 'number', exclusiveMinimum: 0, maximum: 200 },
        lineWidth: { type: 'number', exclusiveMinimum: 0, maximum: 500 },
        linePitch: { type: 'number', exclusiveMinimum: 0, maximum: 50 },
      },
    },
    choices: [],
  },
  USUAL_HAND,
);
