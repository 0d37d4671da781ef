import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { centerX, centerY } from '../measure/rect';

/** A placement with everything that lies on it, lowest first: they move together. */
export function stackOf(placements: readonly Placement[], id: string): Placement[] {
  const bottom = placements.find((p) => p.id === id);
  if (!bottom) return [];
  const place = footprint(bottom);
  const over = placements.filter((p) => {
    if (p.page !== bottom.page || p.layer <= bottom.layer) return false;
    const [x, y] = [centerX(footprint(p)), centerY(footprint(p))];
    return x > place.x && x < place.x + place.w && y > place.y && y < place.y + place.h;
  });
  return [bottom, ...over.sort((a, b) => a.layer - b.layer)];
}
