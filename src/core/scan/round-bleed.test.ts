import { blankPicture } from '../../../tests/pictures';
import type { Edges } from './edges';
import { labPlanes } from './lab-planes';
import { roundBleedOf } from './round-bleed';

const [SCALE, PRINT, KNIFE] = [10, 55, 43];
const SLIP = { x: 3, y: -5 };

/** Six discs of print, some with the knife's circle in them, as far in and slipped alike. */
function sheet(lined: readonly boolean[], ink: readonly [number, number, number]) {
  const picture = blankPicture(480, 330, '#fdfdfb');
  const edges = lined.map((line, i): Edges => {
    const [cx, cy] = [80 + (i % 3) * 150, 80 + Math.floor(i / 3) * 150];
    for (let y = cy - PRINT; y < cy + PRINT; y++)
      for (let x = cx - PRINT; x < cx + PRINT; x++) {
        if (Math.hypot(x + 0.5 - cx, y + 0.5 - cy) > PRINT) continue;
        const onKnife = line && Math.abs(Math.hypot(x + 0.5 - cx - SLIP.x, y + 0.5 - cy - SLIP.y) - KNIFE) < 0.8;
        picture.data.set(onKnife ? [...ink, 255] : [111, 160, 160, 255], (y * picture.width + x) * 4);
      }
    return { left: cx - PRINT, right: cx + PRINT, top: cy - PRINT, bottom: cy + PRINT };
  });
  return { planes: labPlanes(picture), edges };
}
const FAINT = [103, 150, 150] as const;
const found = (
  lined: readonly boolean[],
  change: (edges: Edges[]) => Edges[] = (e) => e,
  ink = FAINT as readonly [number, number, number],
) => {
  const { planes, edges } = sheet(lined, ink);
  return roundBleedOf(change(edges), planes, SCALE);
};
const [Y, N] = [true, false];

it('a thin circle within round print, as far in on all of them, is the knife’s', () => {
  const knife = found([Y, Y, Y, Y, Y, Y])!;
  expect(Math.abs(knife.radius - KNIFE)).toBeLessThanOrEqual(1);
  expect([knife.dx, knife.dy].map((d, i) => Math.abs(d - [SLIP.x, SLIP.y][i]!) <= 1)).toEqual([true, true]);
});

it('those that ran into a neighbor do not lead astray', () => {
  const clipped = found([Y, Y, Y, Y, Y, Y], ([a, b, ...others]) => [
    { ...a!, right: a!.right - 9 },
    { ...b!, top: b!.top + 9 },
    ...others,
  ])!;
  expect(clipped.radius).toBe(found([Y, Y, Y, Y, Y, Y])!.radius);
});

it('it is told by half of them, not by fewer, and by no two alone', () => {
  expect(found([Y, N, Y, N, Y, N])?.radius).toBeDefined();
  expect(found([Y, N, N, N, Y, N])).toBeNull();
  expect(found([N, N, N, N, N, N])).toBeNull();
  expect(found([Y, Y, Y, Y, Y, Y], (edges) => edges.slice(0, 2))).toBeNull();
});

it('a ring that stands out is printed on them', () => {
  expect(found([Y, Y, Y, Y, Y, Y], undefined, [40, 70, 70])).toBeNull();
});
