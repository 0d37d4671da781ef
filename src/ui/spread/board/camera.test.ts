import { lookAt, panned, trueSize, zoomed } from './camera';

const whole = { x: 0, y: -11, w: 356, h: 240 };

it('comes nearer about a point, which stays where it is on the screen', () => {
  const at = { x: 100, y: 50 };
  const near = zoomed(whole, 2, at, whole)!;
  expect(near).toEqual({ x: 50, y: 19.5, w: 178, h: 120 });
  expect((at.x - near.x) / near.w).toBeCloseTo((at.x - whole.x) / whole.w);
});

it('never leaves the book, and never comes nearer than 30 mm', () => {
  expect(zoomed(whole, 2, { x: 0, y: -11 }, whole)).toMatchObject({ x: 0, y: -11 });
  expect(panned({ x: 300, y: 100, w: 60, h: 40 }, 50, 500, whole)).toEqual({ x: 296, y: 189, w: 60, h: 40 });
  expect(zoomed(whole, 1000, { x: 100, y: 100 }, whole)!.w).toBeCloseTo(30);
});

it('is the whole again once it is far enough', () => {
  expect(zoomed({ x: 50, y: 20, w: 178, h: 120 }, 0.5, { x: 60, y: 60 }, whole)).toBeNull();
});

it('looks at a piece or a day with a little around it, wholly', () => {
  const day = { x: 46, y: 25, w: 38, h: 185 };
  const near = lookAt(day, whole)!;
  expect(near.y).toBeLessThanOrEqual(day.y);
  expect(near.y + near.h).toBeGreaterThanOrEqual(day.y + day.h);
  expect(near.w / near.h).toBeCloseTo(whole.w / whole.h);
  expect(lookAt(whole, whole)).toBeNull();
});

it('is of true size when a mm of the paper has the pixels of a true mm', () => {
  expect(trueSize(whole, 4, { width: 800, height: 600 })).toMatchObject({ w: 200, h: 150 });
});
