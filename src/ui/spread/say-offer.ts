import { sayDesign, thingOf } from '../../core/edit/thing';
import type { Way } from '../../core/repair/let-in';
import { counted } from '../../core/spread/voice';
import { longDay } from '../../core/week/day-names';
import { useSpread } from './store';

/** A place for an item in words: `Monday, on label L-3, nothing moves`. */
export function useSayOffer(): (offer: Way) => string {
  const context = useSpread((s) => s.context);
  return ({ day, base, moved }) => {
    const on = base && base.kit ? `on ${sayDesign(thingOf(context, base))}` : 'written on the paper';
    const moves = moved === 0 ? 'nothing moves' : `${counted(moved, 'piece')} ${moved === 1 ? 'moves' : 'move'}`;
    return `${longDay(context.week.days[day ?? 0] as string)}, ${on}, ${moves}`;
  };
}
