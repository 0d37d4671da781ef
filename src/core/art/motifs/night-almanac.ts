import type { Pen } from '../svg';
import { box, colorPen, num, put, spark } from '../svg';
import type { Tones } from '../tones';
import type { Motif } from './motif';

const p = colorPen;
const MIDNIGHT = '#232a4d';
const GOLD = '#e0b35a';
const CREAM = '#f6ecd6';

/** A night sky with scattered stars and two hills. */
function night(w: number, h: number, sky: string, hill: string, star: string, random: () => number): string {
  let out = box(0, 0, w, h, sky);
  for (let i = 0; i < 16; i++) {
    const [x, y, r] = [random() * w, random() * h * 0.7, 0.25 + random() * 0.8];
    out += i % 4 ? p.disc(x, y, r * 0.4, star, 0.9) : p.fill(spark(x, y, r * 1.5), star);
  }
  return (
    out +
    p.fill(`M0 ${num(h * 0.82)}q${num(w * 0.3)} -7 ${num(w * 0.6)} -1t${num(w * 0.45)} -2V${num(h)}H0z`, hill, 0.75) +
    p.fill(`M0 ${num(h * 0.92)}q${num(w * 0.35)} -6 ${num(w * 0.7)} -2t${num(w * 0.4)} 0V${num(h)}H0z`, hill)
  );
}

function owlFigure(pen: Pen, t: Tones): string {
  const eye = (x: number): string =>
    pen.disc(x, 38, 12, CREAM) +
    pen.disc(x, 38, 6.4, GOLD) +
    pen.disc(x, 38, 3.6, MIDNIGHT) +
    pen.disc(x - 1.6, 36, 1.3, '#ffffff');
  const feathers = [0, 1, 2]
    .map((row) =>
      [-1, 0, 1]
        .map((i) => pen.line(`M${50 + i * 10 - 4 + (row % 2) * 3} ${62 + row * 8}q4 5 8 0`, t.color, 2))
        .join(''),
    )
    .join('');
  return (
    pen.line('M12 92q38-8 76 0', '#6b4a3a', 5) +
    pen.fill(
      'M20 22q8 2 14 8 16-6 32 0 6-6 14-8-2 8 0 18 4 24-4 38-10 14-26 14T24 78q-8-14-4-38 2-10 0-18z',
      t.accent,
    ) +
    pen.fill('M34 54q16-8 32 0 4 26-16 34Q30 80 34 54z', t.pale) +
    feathers +
    pen.fill('M20 46q-6 22 6 36 6-14 4-32z', t.deep) +
    pen.fill('M80 46q6 22-6 36-6-14-4-32z', t.deep) +
    eye(37) +
    eye(63) +
    pen.fill('M46 46h8l-4 8z', GOLD) +
    pen.line('M42 90v4M46 90v4M54 90v4M58 90v4', GOLD, 2)
  );
}

export const owl: Motif = {
  figure: owlFigure,
  fill: (w, h, t, random) =>
    night(w, h, t.color, t.accent, CREAM, random) +
    p.disc(w * 0.5, h * 0.42, w * 0.4, t.soft, 0.7) +
    p.line(`M-1 ${num(h * 0.76)}q${num(w * 0.5)} -3 ${num(w + 2)} 1`, '#6b4a3a', 1.6) +
    put(owlFigure(p, t), w * 0.5, h * 0.46, w * 0.76) +
    leaves(w, h, t),
};

const leaves = (w: number, h: number, t: Tones): string =>
  [
    [0.06, 0.72, 40],
    [0.14, 0.79, -30],
    [0.92, 0.73, -40],
    [0.86, 0.8, 30],
  ]
    .map(([x, y, a]) => p.oval(w * (x as number), h * (y as number), 2.4, 1, t.deep, a as number))
    .join('');

function moonFigure(pen: Pen, t: Tones): string {
  return (
    pen.fill('M64 8C36 10 16 30 18 56s26 40 50 34C48 82 38 66 40 46S52 14 64 8z', t.accent) +
    pen.line('M31 50q3-3 6 0', MIDNIGHT, 1.8) +
    pen.line('M34 64q5 3 8-1', MIDNIGHT, 1.6) +
    pen.disc(29, 59, 3, '#e59a86', 0.6) +
    pen.fill(spark(74, 34, 10), t.accent) +
    pen.fill(spark(84, 60, 6), t.accent) +
    pen.disc(66, 62, 2, t.accent)
  );
}

export const moon: Motif = {
  figure: (pen, t) => moonFigure(pen, { ...t, accent: t.color }),
  fill: (w, h, t, random) =>
    night(w, h, t.color, t.mid, CREAM, random) +
    [0.46, 0.38].map((r) => p.disc(w * 0.48, h * 0.42, w * r, t.accent, 0.1)).join('') +
    put(moonFigure(p, t), w * 0.5, h * 0.42, w * 0.66) +
    cloud(w * 0.2, h * 0.72, 1, t.soft) +
    cloud(w * 0.76, h * 0.66, 0.8, t.soft),
};

const cloud = (x: number, y: number, s: number, color: string): string =>
  p.fill(`M${num(x - 7 * s)} ${num(y)}a2.6 2.6 0 0 1 2.4-3.6 4 4 0 0 1 7.2-1 3 3 0 0 1 4.6 4.6z`, color, 0.9);

function mushroomsFigure(pen: Pen, t: Tones): string {
  const one = (x: number, y: number, r: number, cap: string): string =>
    pen.fill(`M${num(x - r * 0.28)} ${y}h${num(r * 0.56)}l${num(r * 0.14)} ${num(88 - y)}h${num(-r * 0.84)}z`, CREAM) +
    pen.fill(
      `M${num(x - r)} ${y + 2}q0 ${num(-r * 1.25)} ${num(r)} ${num(-r * 1.25)}t${num(r)} ${num(r * 1.25)}q${num(-r)} ${num(r * 0.3)} ${num(-2 * r)} 0z`,
      cap,
    ) +
    [
      [-0.45, -0.35, 0.16],
      [0.1, -0.7, 0.2],
      [0.5, -0.25, 0.13],
    ]
      .map(([dx, dy, dr]) => pen.disc(x + r * (dx as number), y + r * (dy as number), r * (dr as number), CREAM))
      .join('');
  return (
    pen.oval(50, 90, 42, 6, '#5f7358') +
    one(52, 48, 30, t.accent) +
    one(22, 64, 16, t.mid) +
    one(80, 68, 14, GOLD) +
    pen.line('M36 90q-2-10-8-14M66 90q2-8 8-10', '#5f7358', 2)
  );
}

export const mushrooms: Motif = {
  figure: mushroomsFigure,
  fill: (w, h, t, random) => {
    let out =
      box(0, 0, w, h, t.color) +
      p.disc(w * 0.5, h * 0.46, w * 0.42, t.pale) +
      p.disc(w * 0.5, h * 0.46, w * 0.33, GOLD, 0.22);
    for (let i = 0; i < 10; i++) out += p.disc(random() * w, random() * h * 0.6, 0.3 + random() * 0.5, GOLD, 0.9);
    return (
      out +
      p.fill(`M0 ${num(h * 0.8)}q${num(w * 0.3)} -5 ${num(w * 0.6)} 0t${num(w * 0.45)} -1V${num(h)}H0z`, '#5f7358') +
      put(mushroomsFigure(p, t), w * 0.5, h * 0.52, w * 0.86) +
      fern(w * 0.1, h * 0.95, 1) +
      fern(w * 0.9, h * 0.95, -1)
    );
  },
};

const fern = (x: number, y: number, s: number): string =>
  p.line(`M${num(x)} ${num(y)}q${s * 1} -6 ${s * 4} -10`, '#3f5a45', 0.5) +
  [0, 1, 2, 3]
    .map(
      (i) =>
        p.oval(x + s * (0.4 + i * 0.9) - s, y - 2 - i * 2.2, 1.5, 0.5, '#3f5a45', s * 20) +
        p.oval(x + s * (0.4 + i * 0.9) + s * 1.4, y - 1.6 - i * 2.2, 1.5, 0.5, '#3f5a45', s * -50),
    )
    .join('');

function mothFigure(pen: Pen, t: Tones): string {
  const wing = (s: number): string =>
    pen.fill(
      `M50 40c${s * 10}-24 ${s * 34}-30 ${s * 44}-22 ${s * 2} 18 ${s * -6} 32 ${s * -20} 36 ${s * -10} 3 ${s * -18} 0 ${s * -24}-6z`,
      t.accent,
    ) +
    pen.fill(`M50 50c${s * 12} 4 ${s * 28} 8 ${s * 32} 20 ${s * -4} 14 ${s * -18} 18 ${s * -26} 4z`, t.mid) +
    pen.disc(50 + s * 28, 36, 7, CREAM) +
    pen.disc(50 + s * 28, 36, 4, MIDNIGHT) +
    pen.disc(50 + s * 20, 66, 3.4, CREAM) +
    pen.line(`M${50 + s * 10} 44q${s * 14}-16 ${s * 32}-20`, CREAM, 1.2);
  return (
    wing(-1) +
    wing(1) +
    pen.oval(50, 54, 5, 22, CREAM) +
    pen.line('M46 44h8M45.5 52h9M45.5 60h9M46.5 68h7', t.deep, 1.6) +
    pen.line('M48 33q-6-12-14-14M52 33q6-12 14-14', CREAM, 1.8) +
    pen.disc(50, 34, 5, CREAM)
  );
}

export const moth: Motif = {
  figure: (pen, t) => mothFigure(pen, t),
  fill: (w, h, t, random) => {
    let out = box(0, 0, w, h, t.color);
    for (let i = 0; i < 12; i++) out += p.fill(spark(random() * w, random() * h, 0.4 + random() * 0.9), t.accent, 0.85);
    const ring = (r: number, dash: string): string =>
      `<circle cx="${num(w / 2)}" cy="${num(h * 0.48)}" r="${num(r)}" fill="none" stroke="${t.accent}" stroke-width=".35"${dash}/>`;
    return (
      out +
      ring(w * 0.43, '') +
      ring(w * 0.39, ' stroke-dasharray=".6 1.4"') +
      put(mothFigure(p, { ...t, mid: t.soft }), w / 2, h * 0.48, w * 0.78) +
      [0, 1, 2, 3, 4].map((i) => p.disc(w * (0.3 + i * 0.1), h * 0.9, 1.1 - Math.abs(2 - i) * 0.25, t.accent)).join('')
    );
  },
};

function lanternFigure(pen: Pen, t: Tones): string {
  return (
    pen.line('M34 24q16-22 32 0', '#5b4636', 3) +
    pen.fill('M32 24h36l4 8H28z', '#5b4636') +
    pen.fill('M30 32h40v44H30z', '#fff3c9') +
    pen.fill('M50 40c8 10 10 16 6 24-2 5-10 5-12 0-4-8-2-14 6-24z', t.accent) +
    pen.fill('M50 52c4 5 4 9 2 12-1 2-4 2-5 0-2-4 0-8 3-12z', '#fffaf0') +
    pen.line('M30 32v44M70 32v44M43 32v44M57 32v44', '#5b4636', 2) +
    pen.fill('M26 76h48l3 8H23z', '#5b4636') +
    pen.fill('M34 84h32v5H34z', '#5b4636')
  );
}

export const lantern: Motif = {
  figure: lanternFigure,
  fill: (w, h, t, random) => {
    let out =
      box(0, 0, w, h, MIDNIGHT) +
      [0.62, 0.48, 0.34].map((r, i) => p.disc(w * 0.5, h * 0.5, w * r, t.accent, 0.12 + i * 0.1)).join('');
    for (let i = 0; i < 9; i++) out += p.disc(random() * w, random() * h * 0.85, 0.35 + random() * 0.4, '#ffe9a8', 0.9);
    return (
      out +
      p.line(`M${num(w * 0.5)} -1V${num(h * 0.17)}`, '#5b4636', 0.9) +
      put(lanternFigure(p, t), w * 0.5, h * 0.5, w * 0.74) +
      p.fill(
        `M0 ${num(h)}V${num(h * 0.9)}q${num(w * 0.25)} -3 ${num(w * 0.5)} 0t${num(w * 0.5)} 0V${num(h)}z`,
        '#3f5a45',
      )
    );
  },
};

export const constellation: Motif = {
  figure: (pen, t) =>
    pen.line('M12 70L34 44 56 54 84 22', t.color, 1.6) +
    [
      [12, 70],
      [34, 44],
      [56, 54],
      [84, 22],
    ]
      .map(([x, y], i) => pen.fill(spark(x as number, y as number, 9 - (i % 2) * 3), t.color))
      .join(''),
  fill: (w, h, t, random) => {
    const at: readonly (readonly [number, number])[] = [
      [0.18, 0.22],
      [0.36, 0.34],
      [0.6, 0.28],
      [0.82, 0.42],
      [0.68, 0.58],
      [0.42, 0.62],
      [0.28, 0.8],
    ];
    const point = ([x, y]: readonly [number, number]): string => `${num(w * x)} ${num(h * y)}`;
    const arc = (r: number): string =>
      `<circle cx="${num(w * 0.5)}" cy="${num(h * 1.05)}" r="${num(r)}" fill="none" stroke="${t.accent}" stroke-width=".25" stroke-opacity=".6"/>`;
    let out = box(0, 0, w, h, t.color);
    for (let i = 0; i < 34; i++) out += p.disc(random() * w, random() * h, 0.12 + random() * 0.3, CREAM, 0.8);
    return (
      out +
      [w * 0.4, w * 0.62, w * 0.84, w * 1.06].map(arc).join('') +
      p.line(
        `M${at.map(point).join('L')}M${point(at[4] as readonly [number, number])}L${point(at[2] as readonly [number, number])}`,
        t.accent,
        0.35,
      ) +
      at.map(([x, y], i) => p.fill(spark(w * x, h * y, i % 3 === 0 ? 2.3 : 1.6), i % 2 ? GOLD : CREAM)).join('')
    );
  },
};

function hareFigure(pen: Pen, t: Tones): string {
  return (
    pen.fill('M56 34c-4-14-4-26 2-32 6 8 6 22 4 32z', t.accent) +
    pen.fill('M66 36c2-14 8-24 16-26 0 12-6 22-12 28z', t.accent) +
    pen.fill('M59 30c-2-9-1-16 0-20 2 6 2 14 1 20zM69 34c2-8 6-14 9-17-1 8-4 13-7 18z', '#e9b7a6') +
    pen.fill('M20 90c-8-18 4-40 26-42 4-12 14-18 24-14 10 2 14 10 14 16 0 7-6 11-12 11 4 10 2 20-2 29z', t.accent) +
    pen.disc(18, 80, 7, CREAM) +
    pen.disc(73, 45, 2.4, MIDNIGHT) +
    pen.disc(72.3, 44.3, 0.8, '#ffffff') +
    pen.disc(84, 50, 1.6, '#e59a86') +
    pen.line('M40 88q-8-16 6-26', t.deep, 1.8) +
    pen.line('M62 88v-14', t.deep, 1.8) +
    pen.disc(76, 53, 2.6, '#e59a86', 0.6)
  );
}

export const hare: Motif = {
  figure: hareFigure,
  fill: (w, h, t, random) =>
    night(w, h, t.color, '#4a5f4a', GOLD, random) +
    p.disc(w * 0.46, h * 0.44, w * 0.38, CREAM) +
    p.disc(w * 0.36, h * 0.36, w * 0.06, '#e9dcbc') +
    p.disc(w * 0.56, h * 0.3, w * 0.04, '#e9dcbc') +
    put(hareFigure(p, { ...t, accent: '#9a7d68', deep: '#6f5747' }), w * 0.48, h * 0.58, w * 0.74) +
    [0.08, 0.2, 0.7, 0.82, 0.94]
      .map((x, i) => p.line(`M${num(w * x)} ${num(h)}q${i % 2 ? 1 : -1} -4 ${i % 2 ? 2 : -2} -6.5`, '#6d8a62', 0.6))
      .join(''),
};
