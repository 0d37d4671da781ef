import svgpath from 'svgpath';

/** One stroke of the blade: points in mm, and whether it comes back to where it began. */
export interface Stroke {
  readonly layer: string;
  readonly points: readonly (readonly [number, number])[];
  readonly closed: boolean;
}

export interface CutJob {
  readonly width: number;
  readonly height: number;
  readonly strokes: readonly Stroke[];
}

/** A curve is followed in so many straight steps. */
const STEPS = 12;

/** A cut file as the device sees it: strokes by layer. It shares no code with what writes them. */
export function readCutFile(svg: string): CutJob {
  const size = /<svg[^>]*\bwidth="([\d.]+)mm"[^>]*\bheight="([\d.]+)mm"/.exec(svg);
  if (!size) throw new Error('no drawing in mm');
  const strokes: Stroke[] = [];
  for (const [, layer = '', content = ''] of svg.matchAll(/<g id="([\w-]+)"[^>]*>([\s\S]*?)<\/g>/g))
    for (const [tag] of content.matchAll(/<path[^>]*>/g)) {
      const d = /\bd="([^"]*)"/.exec(tag)?.[1] ?? '';
      const [, dx = '0', dy = '0'] = /translate\((-?[\d.]+)[ ,]+(-?[\d.]+)\)/.exec(tag) ?? [];
      strokes.push(...strokesOf(d, layer, Number(dx), Number(dy)));
    }
  return { width: Number(size[1]), height: Number(size[2]), strokes };
}

function strokesOf(d: string, layer: string, dx: number, dy: number): Stroke[] {
  const strokes: Stroke[] = [];
  let points: [number, number][] = [];
  const end = (closed: boolean) => {
    if (points.length > 1) strokes.push({ layer, points, closed });
    points = [];
  };
  svgpath(d)
    .translate(dx, dy)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const [command, ...args] = segment as [string, ...number[]];
      const [a = 0, b = 0, c = 0, e = 0, f = 0, g = 0] = args;
      if (command === 'M') {
        end(false);
        points = [[a, b]];
      } else if (command === 'L') points.push([a, b]);
      else if (command === 'H') points.push([a, y]);
      else if (command === 'V') points.push([x, a]);
      else if (command === 'C')
        for (let i = 1; i <= STEPS; i++) {
          const t = i / STEPS;
          const u = 1 - t;
          const at = (p: number, q: number, r: number, s: number) =>
            u * u * u * p + 3 * u * u * t * q + 3 * u * t * t * r + t * t * t * s;
          points.push([at(x, a, c, f), at(y, b, e, g)]);
        }
      else if (command === 'Z' || command === 'z') {
        const [first] = points;
        if (first) points.push([...first]);
        end(true);
      }
    });
  end(false);
  return strokes;
}
