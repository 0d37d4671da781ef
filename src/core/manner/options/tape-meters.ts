import { option } from './option';

/** Correction tape in the house, m (handbook K4). */
export const tapeMeters = option<number>()('tapeMeters', { schema: { type: 'number', minimum: 0 }, choices: [] }, 10);
