import type { Stroke } from './strokes';
import { tapeLength } from './strokes';

export interface WhiteOutPlace extends Pick<Stroke, 'day' | 'region'> {
  /** strokes of the tape there */
  readonly count: number;
  /** mm of tape */
  readonly length: number;
}

/** The white-out summed up by where on the pages it is, in the strokes' own order. */
export function whiteOutPlaces(strokes: readonly Stroke[]): WhiteOutPlace[] {
  const groups = new Map<string, Stroke[]>();
  for (const s of strokes) groups.set(`${s.day} ${s.region}`, [...(groups.get(`${s.day} ${s.region}`) ?? []), s]);
  return [...groups.values()].map((here) => ({
    day: here[0]?.day ?? null,
    region: here[0]?.region ?? null,
    count: here.length,
    length: tapeLength(here),
  }));
}
