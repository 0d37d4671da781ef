import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import type { WhiteOutPlace } from './white-out-places';

/** Where some white-out is: `Monday`, `sidebar`, `bottom strip`. */
export const whiteOutName = (voice: Pick<Voice, 'context'>, { day, region }: WhiteOutPlace): string =>
  day === null ? (region?.replace('-', ' ') ?? 'elsewhere') : dayName(voice, day);
