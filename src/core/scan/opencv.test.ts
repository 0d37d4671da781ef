/** @jest-environment node */
import cvReady from '@techstark/opencv-js';
import { blankPicture, paint } from '../../../tests/pictures';
import { dilated } from './dilated';
import { homography } from './homography';
import type { Quad } from './homography';
import { hullOf } from './hull';
import { labPlanes } from './lab-planes';
import { partsOf } from './parts';

/** OpenCV 4.5.2 as an independent reference (`@techstark/opencv-js`, Apache 2.0). */
type Cv = typeof cvReady;
let cv: Cv;
beforeAll(
  () =>
    // the module has a `then` of its own: it must not be what a promise gives
    new Promise<void>((done) => {
      const ready = () => {
        cv = cvReady;
        done();
      };
      if (typeof cvReady.Mat === 'function') ready();
      else cvReady.onRuntimeInitialized = ready;
    }),
  60_000,
);

const SIZE = 60;
const blobs = () => {
  const set = new Uint8Array(SIZE * SIZE);
  const fill = (x0: number, y0: number, w: number, h: number) => {
    for (let y = y0; y < y0 + h; y++) for (let x = x0; x < x0 + w; x++) set[y * SIZE + x] = 1;
  };
  fill(4, 5, 20, 9);
  fill(30, 8, 3, 30);
  fill(40, 40, 12, 12);
  fill(10, 30, 1, 1);
  return set;
};

it('projective maps are those of OpenCV', () => {
  const from: Quad = [
    { x: 12, y: 8 },
    { x: 840, y: 31 },
    { x: 900, y: 1190 },
    { x: 3, y: 1203 },
  ];
  const to: Quad = [
    { x: 0, y: 0 },
    { x: 1270, y: 0 },
    { x: 1270, y: 1780 },
    { x: 0, y: 1780 },
  ];
  const points = (q: Quad) =>
    cv.matFromArray(
      4,
      1,
      cv.CV_32FC2,
      q.flatMap((p) => [p.x, p.y]),
    );
  const theirs = cv.getPerspectiveTransform(points(from), points(to), cv.DECOMP_LU);
  const ours = homography(from, to);
  for (let i = 0; i < 9; i++) expect(ours[i]).toBeCloseTo(theirs.data64F[i] as number, 4);
});

it('parts and their boxes are those of OpenCV', () => {
  const set = blobs();
  const mat = cv.matFromArray(SIZE, SIZE, cv.CV_8UC1, [...set]);
  const [labels, stats, middles] = [new cv.Mat(), new cv.Mat(), new cv.Mat()];
  const count = cv.connectedComponentsWithStats(mat, labels, stats, middles, 4, cv.CV_32S);
  const theirs = Array.from({ length: count - 1 }, (_, i) => [...stats.data32S.slice(5 * (i + 1), 5 * (i + 2))]);
  const ours = partsOf(set, SIZE, SIZE).parts.map((p) => [p.x0, p.y0, p.x1 - p.x0 + 1, p.y1 - p.y0 + 1, p.count]);
  const order = (a: number[], b: number[]) => a[0]! - b[0]!;
  expect(ours.sort(order)).toEqual(theirs.sort(order));
});

it.each([2, 3.5])('what is within %d px of a set is what OpenCV dilates it to', (radius) => {
  const set = blobs();
  const reach = Math.floor(radius);
  const offsets = Array.from({ length: 2 * reach + 1 }, (_, i) => i - reach);
  const disc = offsets.flatMap((dy) => offsets.map((dx) => (Math.hypot(dx, dy) <= radius ? 1 : 0)));
  const theirs = new cv.Mat();
  cv.dilate(
    cv.matFromArray(SIZE, SIZE, cv.CV_8UC1, [...set]),
    theirs,
    cv.matFromArray(offsets.length, offsets.length, cv.CV_8UC1, disc),
  );
  const ours = dilated(set, SIZE, SIZE, radius);
  for (let y = 1; y < SIZE - 1; y++)
    for (let x = 1; x < SIZE - 1; x++)
      if (!isNearRim(set, x, y, reach)) expect(ours[y * SIZE + x]).toBe(theirs.data[y * SIZE + x]);
});

/** Whether an outermost pixel that is set is so near that only OpenCV takes it into account. */
const isNearRim = (set: Uint8Array, x: number, y: number, reach: number): boolean =>
  [...set.keys()].some(
    (i) =>
      set[i] === 1 &&
      (i % SIZE === 0 || i % SIZE === SIZE - 1 || i < SIZE || i >= SIZE * (SIZE - 1)) &&
      Math.max(Math.abs((i % SIZE) - x), Math.abs(Math.floor(i / SIZE) - y)) <= reach,
  );

it('hulls are those of OpenCV', () => {
  const points = Array.from({ length: 40 }, (_, i) => ({ x: (i * 37) % 101, y: (i * 53) % 89 }));
  const hull = new cv.Mat();
  cv.convexHull(
    cv.matFromArray(
      points.length,
      1,
      cv.CV_32SC2,
      points.flatMap((p) => [p.x, p.y]),
    ),
    hull,
    false,
    true,
  );
  const theirs = new Set(
    Array.from({ length: hull.rows }, (_, i) => `${hull.data32S[2 * i]} ${hull.data32S[2 * i + 1]}`),
  );
  expect(new Set(hullOf(points).map((p) => `${p.x} ${p.y}`))).toEqual(theirs);
});

it('CIELAB is that of OpenCV within its eight bits', () => {
  const picture = blankPicture(16, 16, '#f4f1ea');
  paint(picture, { x: 0, y: 0, w: 8, h: 16 }, '#3d4f7c');
  const rgba = cv.matFromArray(16, 16, cv.CV_8UC4, [...picture.data]);
  const [rgb, lab] = [new cv.Mat(), new cv.Mat()];
  cv.cvtColor(rgba, rgb, cv.COLOR_RGBA2RGB);
  cv.cvtColor(rgb, lab, cv.COLOR_RGB2Lab);
  const ours = labPlanes(picture);
  for (const i of [0, 15]) {
    expect(Math.abs(ours.l[i]! - ((lab.data[3 * i] as number) * 100) / 255)).toBeLessThan(0.6);
    expect(Math.abs(ours.a[i]! - ((lab.data[3 * i + 1] as number) - 128))).toBeLessThan(1);
    expect(Math.abs(ours.b[i]! - ((lab.data[3 * i + 2] as number) - 128))).toBeLessThan(1);
  }
});
