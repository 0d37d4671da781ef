import { blankPicture, paint } from '../../../tests/pictures';
import { labPlanes } from './lab-planes';
import { HUNDREDTHS, seamsOf } from './seams';

const SCALE = 10;
const GROUND = '#d8e6df';

/** What is seen of the way from top to bottom at 100 px, in the stretch about 100 px down. */
function seenOn(draw: (put: (x: number, y: number, w: number, h: number, color: `#${string}`) => void) => void) {
  const picture = blankPicture(200, 200, GROUND);
  draw((x, y, w, h, color) => paint(picture, { x, y, w, h }, color));
  const { upright, level } = seamsOf(labPlanes(picture), new Int32Array(200 * 200).fill(1), SCALE);
  const at = 10 * upright.breadth + 100;
  return { line: (upright.lines[at] as number) / HUNDREDTHS, step: upright.steps[at], across: level.lines[at] };
}

describe('what a stretch of two millimeters shows', () => {
  it('is nothing on plain paper', () => expect(seenOn(() => {})).toEqual({ line: 0, step: 0, across: 0 }));

  it('is a line where one goes all along, darker or lighter than both its sides', () => {
    expect(seenOn((put) => put(99, 0, 2, 200, '#8a857a')).line).toBeLessThan(-10);
    expect(seenOn((put) => put(99, 0, 2, 200, '#ffffff')).line).toBeGreaterThan(3);
  });

  it('is no line where it goes over less than most of it: dots and dashes do not', () => {
    const dashes = seenOn((put) => {
      for (let y = 0; y < 196; y += 14) put(99, y, 2, 5, '#8a857a');
    });
    expect(dashes.line).toBe(0);
  });

  it('is no line beside a step, however near', () => {
    for (const x of [96, 98, 100, 102, 104]) expect(seenOn((put) => put(x, 0, 200 - x, 200, '#2f4a7c')).line).toBe(0);
  });

  it('is a step where one color ends and another begins, and none where they take turns', () => {
    expect(seenOn((put) => put(100, 0, 100, 200, '#a4506c')).step).toBe(1);
    const turns = seenOn((put) => {
      for (let y = 0; y < 200; y += 10) put(y % 20 ? 100 : 0, y, 100, 10, '#a4506c');
    });
    expect(turns.step).toBe(0);
  });

  it('is not looked at where no sticker is', () => {
    const picture = blankPicture(200, 200, GROUND);
    paint(picture, { x: 99, y: 0, w: 2, h: 200 }, '#8a857a');
    const { upright } = seamsOf(labPlanes(picture), new Int32Array(200 * 200), SCALE);
    expect(upright.lines.every((line) => line === 0)).toBe(true);
  });
});
