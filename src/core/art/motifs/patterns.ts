import { box, colorPen as pen, num, spark } from '../svg';
import type { Tones } from '../tones';
import type { Motif } from './motif';

const ground = (w: number, h: number, t: Tones): string => box(0, 0, w, h, t.color);

/** Runs a drawing over a staggered grid that overlaps all four edges. */
function staggered(
  w: number,
  h: number,
  dx: number,
  dy: number,
  draw: (x: number, y: number, n: number) => string,
): string {
  let out = '';
  let n = 0;
  for (let row = -1; row * dy <= h + dy; row++) {
    for (let x = row % 2 ? -dx / 2 : 0; x <= w + dx; x += dx) out += draw(x, row * dy, n++);
  }
  return out;
}

export const waves: Motif = {
  fill: (w, h, t) => {
    const tones = [t.mid, t.soft, t.deep];
    let out = ground(w, h, t);
    for (let y = 1.6, i = 0; y < h + 3; y += 3.4, i++) {
      let d = `M-4 ${num(y)}`;
      for (let x = -4; x < w + 4; x += 4) d += 'q1-1.9 2 0t2 0';
      out += pen.line(d, tones[i % 3] as string, i % 3 === 1 ? 0.9 : 0.5);
    }
    return out;
  },
};

export const scales: Motif = {
  fill: (w, h, t) =>
    ground(w, h, t) +
    staggered(
      w,
      h,
      6,
      3,
      (x, y) =>
        pen.disc(x, y, 3, t.color) +
        pen.line(
          `M${num(x - 2.8)} ${num(y)}a2.8 2.8 0 0 0 5.6 0M${num(x - 1.5)} ${num(y)}a1.5 1.5 0 0 0 3 0`,
          t.dark ? t.soft : t.mid,
          0.35,
        ),
    ),
};

export const stripes: Motif = {
  fill: (w, h, t) => {
    let out = ground(w, h, t);
    for (let x = -h; x < w; x += 4)
      out +=
        pen.fill(`M${num(x)} ${num(h)}l${num(h)} ${num(-h)}h1.6l${num(-h)} ${num(h)}z`, t.accent, 0.7) +
        pen.line(`M${num(x + 2.8)} ${num(h)}l${num(h)} ${num(-h)}`, t.accent, 0.2);
    return out;
  },
};

export const bubbles: Motif = {
  fill: (w, h, t, random) =>
    ground(w, h, t) +
    staggered(w, h, 6.5, 4.6, (x, y, n) => {
      const r = 0.6 + random() * 1.2;
      const cx = x + random() * 2;
      return n % 3
        ? pen.disc(cx, y, r, t.accent, 0.45) + pen.disc(cx - r * 0.3, y - r * 0.3, r * 0.25, '#ffffff', 0.9)
        : `<circle cx="${num(cx)}" cy="${num(y)}" r="${num(r)}" fill="none" stroke="${t.accent}" stroke-width=".3"/>`;
    }),
  figure: (p, t) =>
    [
      [34, 62, 22],
      [66, 44, 16],
      [48, 24, 9],
      [74, 74, 10],
    ]
      .map(
        ([x, y, r]) =>
          p.disc(x as number, y as number, r as number, t.color) +
          p.disc(
            (x as number) - (r as number) * 0.35,
            (y as number) - (r as number) * 0.35,
            (r as number) * 0.22,
            '#ffffff',
          ),
      )
      .join(''),
};

export const kelp: Motif = {
  fill: (w, h, t) =>
    ground(w, h, t) +
    staggered(w, h, 8, 7, (x, y, n) => {
      const lean = n % 2 ? 1 : -1;
      const stem = `M${num(x)} ${num(y + 5)}c${lean * 1.5}-2 ${-lean * 1.5}-4 0-6.5`;
      return (
        pen.line(stem, t.accent, 0.35) +
        [0, 1, 2]
          .map((i) => pen.oval(x + (i % 2 ? 1.3 : -1.3), y + 3.4 - i * 1.8, 1.25, 0.5, t.accent, i % 2 ? -35 : 35))
          .join('')
      );
    }),
};

export const pebbles: Motif = {
  fill: (w, h, t, random) =>
    ground(w, h, t) +
    staggered(w, h, 5.6, 3.9, (x, y, n) =>
      pen.oval(
        x,
        y,
        1.5 + random(),
        1.1 + random() * 0.5,
        [t.mid, t.soft, t.accent][n % 3] as string,
        random() * 60 - 30,
      ),
    ),
  figure: (p, t) =>
    p.oval(30, 66, 26, 17, t.color) +
    p.oval(68, 68, 24, 15, t.mid) +
    p.oval(50, 42, 20, 13, t.soft) +
    p.line('M18 62q12-8 24-2', '#ffffff', 1.6) +
    p.line('M60 66q8-5 16 0M42 40q8-5 15 0', '#ffffff', 1.4),
};

export const stars: Motif = {
  fill: (w, h, t, random) =>
    ground(w, h, t) +
    staggered(w, h, 6.4, 4.8, (x, y, n) => {
      const r = 0.5 + random() * 0.9;
      const cx = x + random() * 2.4;
      return n % 3 === 0 ? pen.disc(cx, y, r * 0.35, t.accent) : pen.fill(spark(cx, y, r), t.accent);
    }),
  figure: (p, t) =>
    [
      [22, 52, 16],
      [52, 40, 24],
      [80, 58, 13],
    ]
      .map(([x, y, r]) => p.fill(spark(x as number, y as number, r as number), t.color))
      .join(''),
};

export const phases: Motif = {
  fill: (w, h, t) =>
    ground(w, h, t) +
    staggered(w, h, 7, 5.2, (x, y, n) => {
      const r = 1.5;
      const full = pen.disc(x, y, r, t.accent);
      return n % 3 === 0 ? full : full + pen.disc(x + (n % 3 === 1 ? 0.8 : -0.8), y, r * 0.92, t.color);
    }),
};

export const diamonds: Motif = {
  fill: (w, h, t) =>
    ground(w, h, t) +
    staggered(
      w,
      h,
      6,
      4,
      (x, y) => pen.fill(`M${num(x)} ${num(y - 2.6)}l1.9 2.6-1.9 2.6-1.9-2.6z`, t.mid) + pen.disc(x, y, 0.45, t.accent),
    ),
};

export const plaid: Motif = {
  fill: (w, h, t) => {
    let out = ground(w, h, t);
    for (let x = 1; x < w; x += 6)
      out += `<rect x="${num(x)}" y="0" width="2.2" height="${num(h)}" fill="${t.accent}" fill-opacity=".3"/><rect x="${num(x + 3.6)}" y="0" width=".35" height="${num(h)}" fill="${t.accent}" fill-opacity=".7"/>`;
    for (let y = 1; y < h; y += 6)
      out += `<rect x="0" y="${num(y)}" width="${num(w)}" height="2.2" fill="${t.accent}" fill-opacity=".3"/><rect x="0" y="${num(y + 3.6)}" width="${num(w)}" height=".35" fill="${t.accent}" fill-opacity=".7"/>`;
    return out;
  },
};

export const glitter: Motif = {
  fill: (w, h, t, random) => {
    let out = ground(w, h, t);
    for (let i = 0, many = Math.min(160, Math.round(w * h * 0.45)); i < many; i++)
      out += pen.disc(
        random() * w,
        random() * h,
        0.15 + random() * 0.4,
        i % 3 ? t.accent : t.deep,
        0.5 + random() * 0.5,
      );
    return out;
  },
};

/** For a motif nobody has drawn: leaves and dots, so that any kit looks like something. */
export const sprig: Motif = {
  fill: (w, h, t) =>
    ground(w, h, t) +
    staggered(w, h, 7, 5, (x, y, n) =>
      n % 2
        ? pen.disc(x, y, 0.6, t.accent)
        : pen.line(`M${num(x - 1.6)} ${num(y + 1.4)}q1.6-.4 3.2-2.8`, t.accent, 0.3) +
          pen.oval(x - 0.4, y - 0.3, 1.1, 0.5, t.accent, -50) +
          pen.oval(x + 0.9, y + 0.4, 1.1, 0.5, t.accent, -5),
    ),
  figure: (p, t) =>
    p.line('M20 84q24-10 52-64', t.accent, 3) +
    [
      [34, 62, -70],
      [46, 50, 0],
      [52, 40, -75],
      [62, 30, -8],
      [40, 70, 10],
    ]
      .map(([x, y, a]) => p.oval((x as number) + 6, y as number, 13, 6, t.color, a as number))
      .join(''),
};
