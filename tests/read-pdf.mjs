// Reads a PDF with pdf.js, which shares no code with what wrote it: `node tests/read-pdf.mjs FILE [PAGES]` prints, for
// each page in mm from its top left, its size, the box of every path that is painted, and of every form that is shown.
import { readFileSync } from 'node:fs';
import { OPS, getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const MM = 25.4 / 72;
const times = ([a, b, c, d, e, f], [p, q, r, s, t, u]) => [
  a * p + c * q,
  b * p + d * q,
  a * r + c * s,
  b * r + d * s,
  a * t + c * u + e,
  b * t + d * u + f,
];
const at = ([a, b, c, d, e, f], x, y) => [a * x + c * y + e, b * x + d * y + f];

/** The box that four corners take, mm from the page's top left. */
function boxOf(matrix, [x0, y0, x1, y1], height) {
  const corners = [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ].map(([x, y]) => at(matrix, x, y));
  const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => height - c[1])];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x: x * MM, y: y * MM, w: (Math.max(...xs) - x) * MM, h: (Math.max(...ys) - y) * MM };
}

/** What two boxes share; none of it has no width. */
function both(a, b) {
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)];
  return {
    x,
    y,
    w: Math.max(0, Math.min(a.x + a.w, b.x + b.w) - x),
    h: Math.max(0, Math.min(a.y + a.h, b.y + b.h) - y),
  };
}

const PAINTS = new Set([OPS.fill, OPS.eoFill, OPS.stroke, OPS.closeStroke, OPS.fillStroke, OPS.closeFillStroke]);

const document = await getDocument({ data: new Uint8Array(readFileSync(process.argv[2])), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= Math.min(document.numPages, Number(process.argv[3] ?? Infinity)); n++) {
  const page = await document.getPage(n);
  const [, , width, height] = page.view;
  const { fnArray, argsArray } = await page.getOperatorList();
  let matrix = [1, 0, 0, 1, 0, 0];
  const stack = [];
  const boxes = [];
  const all = { x: 0, y: 0, w: width * MM, h: height * MM };
  let clip = all;
  let path = null;
  let clips = false;
  const forms = [];
  fnArray.forEach((fn, i) => {
    const args = argsArray[i];
    if (fn === OPS.save) stack.push([matrix, clip]);
    else if (fn === OPS.restore) [matrix, clip] = stack.pop() ?? [matrix, clip];
    else if (fn === OPS.transform) matrix = times(matrix, args);
    else if (fn === OPS.paintFormXObjectBegin) {
      stack.push([matrix, clip]);
      const [own, box] = args;
      if (own) matrix = times(matrix, own);
      if (box) forms.push({ ...boxOf(matrix, box, height), depth: stack.length });
    } else if (fn === OPS.paintFormXObjectEnd) [matrix, clip] = stack.pop() ?? [matrix, clip];
    else if (fn === OPS.constructPath) {
      path = boxOf(matrix, args[2], height);
    } else if (fn === OPS.clip || fn === OPS.eoClip) clips = true;
    else if (fn === OPS.endPath) {
      if (clips && path) clip = both(clip, path);
      clips = false;
    } else if (PAINTS.has(fn) && path) boxes.push({ ...path, seen: both(clip, path) });
  });
  const text = (await page.getTextContent()).items.map((t) => t.str).join(' ');
  pages.push({ width: width * MM, height: height * MM, boxes, forms, text });
}
console.log(JSON.stringify(pages));
