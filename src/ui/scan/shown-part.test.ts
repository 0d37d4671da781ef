import { closer, dragged } from './shown-part';

const whole = { width: 120, height: 180 };
const all = { x: 0, y: 0, w: 120, h: 180 };

describe('the part of a sheet that is seen', () => {
  it('grows about the pointer: what lies there stays', () => {
    const about = { x: 90, y: 45 };
    const near = closer(all, whole, 2, about);
    expect(near).toEqual({ x: 45, y: 22.5, w: 60, h: 90 });
    const share = (part: typeof all) => [(about.x - part.x) / part.w, (about.y - part.y) / part.h];
    expect(share(near)).toEqual(share(all));
  });
  it('is never larger than the sheet, and 12 times smaller at the most', () => {
    expect(closer(all, whole, 0.5, { x: 0, y: 0 })).toEqual(all);
    expect(closer(all, whole, 100, { x: 0, y: 0 })).toEqual({ x: 0, y: 0, w: 10, h: 15 });
    // at the sheet's edge it stays on the sheet
    expect(closer({ x: 60, y: 90, w: 60, h: 90 }, whole, 0.6, { x: 61, y: 91 })).toMatchObject({ x: 20, y: 30 });
  });
  it('goes with the hand, as far as the sheet goes', () => {
    const part = { x: 30, y: 40, w: 60, h: 90 };
    expect(dragged(part, whole, { x: 50, y: 50 }, { x: 40, y: 70 })).toMatchObject({ x: 40, y: 20 });
    expect(dragged(part, whole, { x: 90, y: 130 }, { x: 0, y: 0 })).toMatchObject({ x: 60, y: 90 });
    expect(dragged(part, whole, { x: 0, y: 0 }, { x: 90, y: 130 })).toMatchObject({ x: 0, y: 0 });
  });
});
