import type { Pen } from '../svg';
import { box, colorPen, num, put } from '../svg';
import type { Tones } from '../tones';
import type { Motif } from './motif';

const p = colorPen;

/** Sky with a low sun, then the sea in three bands. `line` is the height of the horizon, 0-1. */
function shore(w: number, h: number, t: Tones, line: number): string {
  const y = h * line;
  const wave = (top: number, color: string, step: number): string => {
    let d = `M-2 ${num(h)}V${num(top)}`;
    for (let x = -2; x < w + step; x += step)
      d += `q${num(step / 4)} ${num(-step / 5)} ${num(step / 2)} 0t${num(step / 2)} 0`;
    return p.fill(`${d}V${num(h)}z`, color);
  };
  return (
    box(0, 0, w, h, t.soft) +
    p.disc(w * 0.72, y * 0.55, w * 0.2, t.pale) +
    p.disc(w * 0.72, y * 0.55, w * 0.13, t.accent, 0.55) +
    wave(y, t.color, 7) +
    wave(y + (h - y) * 0.35, t.mid, 9) +
    wave(y + (h - y) * 0.7, t.deep, 11)
  );
}

/** Under water: bands growing deeper, a sandy floor, weed and bubbles. */
function deepWater(w: number, h: number, t: Tones, random: () => number): string {
  let out = box(0, 0, w, h, t.color);
  for (let i = 0; i < 3; i++) {
    const y = h * (0.16 + i * 0.2);
    out += p.fill(
      `M0 ${num(y)}q${num(w / 4)} ${num(-3 + i)} ${num(w / 2)} 0t${num(w / 2)} 0V${num(h)}H0z`,
      i === 2 ? t.deep : t.mid,
      0.28,
    );
  }
  out += p.fill(
    `M0 ${num(h * 0.88)}q${num(w * 0.3)} -4 ${num(w * 0.55)} -1t${num(w * 0.5)} -1V${num(h)}H0z`,
    t.pale,
    0.85,
  );
  for (const [x, tall, lean] of [
    [0.1, 0.34, 1],
    [0.19, 0.22, -1],
    [0.88, 0.4, -1],
    [0.79, 0.2, 1],
  ] as const) {
    out += p.line(
      `M${num(w * x)} ${num(h * 0.93)}c${lean * 3} ${num(-h * tall * 0.35)} ${-lean * 3} ${num(-h * tall * 0.6)} ${lean} ${num(-h * tall)}`,
      t.deep,
      1.5,
    );
  }
  for (let i = 0; i < 9; i++)
    out += `<circle cx="${num(w * (0.12 + random() * 0.76))}" cy="${num(h * (0.05 + random() * 0.6))}" r="${num(0.4 + random() * 0.9)}" fill="none" stroke="${t.pale}" stroke-width=".28" stroke-opacity=".8"/>`;
  return out;
}

function lighthouseFigure(pen: Pen, t: Tones): string {
  const stripe = (y0: number, y1: number): string => {
    const half = (y: number): number => 9 + ((y - 32) / 54) * 8;
    return `M${num(50 - half(y0))} ${y0}L${num(50 + half(y0))} ${y0}L${num(50 + half(y1))} ${y1}L${num(50 - half(y1))} ${y1}z`;
  };
  return (
    pen.fill('M10 94q8-14 22-11 6-9 20-5 16-5 22 6 12 0 16 10z', t.deep) +
    pen.fill(stripe(32, 86), '#fffaf2') +
    [42, 62].map((y) => pen.fill(stripe(y, y + 10), t.accent)).join('') +
    pen.fill(stripe(80, 86), t.accent) +
    pen.fill('M36 29h28v4H36z', t.deep) +
    pen.fill('M42 17h16v12H42z', '#ffe9a8') +
    pen.line('M50 17v12M42 23h16', t.deep, 1.4) +
    pen.fill('M39 18q11-15 22 0z', t.accent) +
    pen.disc(50, 7, 2.2, t.deep) +
    pen.fill('M47 56a3.2 3.2 0 0 1 6.4 0v6h-6.4z', t.deep)
  );
}

export const lighthouse: Motif = {
  figure: lighthouseFigure,
  fill: (w, h, t) =>
    shore(w, h, t, 0.62) +
    p.fill(`M${num(w * 0.42)} ${num(h * 0.31)}L-2 ${num(h * 0.12)}V${num(h * 0.34)}z`, '#fff3c4', 0.75) +
    p.fill(`M${num(w * 0.42)} ${num(h * 0.31)}L${num(w + 2)} ${num(h * 0.16)}V${num(h * 0.4)}z`, '#fff3c4', 0.55) +
    put(lighthouseFigure(p, t), w * 0.42, h * 0.54, h * 0.74) +
    gulls(w * 0.7, h * 0.46, t.deep) +
    gulls(w * 0.16, h * 0.5, t.deep),
};

const gulls = (x: number, y: number, color: string): string =>
  p.line(
    `M${num(x)} ${num(y)}q1.2-1.6 2.2 0q1-1.6 2.2 0M${num(x + 4)} ${num(y + 2.4)}q.8-1.1 1.5 0q.7-1.1 1.5 0`,
    color,
    0.4,
  );

function crabFigure(pen: Pen, t: Tones): string {
  const legs = [-1, 1]
    .map((s) =>
      [0, 1, 2]
        .map((i) =>
          pen.line(
            `M${50 + s * 24} ${58 + i * 7}q${s * 12} ${-4 + i * 3} ${s * (20 - i * 3)} ${6 + i * 6}`,
            t.accent,
            4,
          ),
        )
        .join(''),
    )
    .join('');
  const claws = [-1, 1]
    .map(
      (s) =>
        pen.line(`M${50 + s * 22} 48q${s * 18}-2 ${s * 20}-16`, t.accent, 5) +
        pen.fill(
          `M${50 + s * 40} 34c${s * -10}-8 ${s * -8}-22 ${s * 3}-24 ${s * -1} 7 ${s * 2} 9 ${s * 6} 11 ${s * 1}-5 ${s * 3}-7 ${s * 6}-8 ${s * 5} 11 ${s * -3} 22 ${s * -15} 21z`,
          t.accent,
        ),
    )
    .join('');
  return (
    legs +
    claws +
    pen.oval(50, 60, 29, 20, t.accent) +
    pen.line('M42 44l-2-11M58 44l2-11', t.accent, 3) +
    pen.disc(40, 31, 5, '#ffffff') +
    pen.disc(60, 31, 5, '#ffffff') +
    pen.disc(41, 32, 2.4, '#22313c') +
    pen.disc(59, 32, 2.4, '#22313c') +
    pen.line('M42 64q8 7 16 0', '#22313c', 1.8) +
    pen.oval(33, 61, 4, 2.6, '#ffffff') +
    pen.oval(67, 61, 4, 2.6, '#ffffff') +
    pen.line('M36 50q14-7 28 0', '#ffffff', 1.6)
  );
}

export const crab: Motif = {
  figure: crabFigure,
  fill: (w, h, t, random) => {
    let out =
      box(0, 0, w, h, t.soft) +
      p.fill(`M0 ${num(h * 0.34)}q${num(w * 0.25)} -4 ${num(w * 0.5)} 0t${num(w * 0.5)} 0V0H0z`, '#9fd3c7', 0.9) +
      p.fill(`M0 ${num(h * 0.26)}q${num(w * 0.25)} 3 ${num(w * 0.5)} 0t${num(w * 0.5)} 0V0H0z`, '#5fb0ad', 0.8);
    out += p.line(`M0 ${num(h * 0.36)}q${num(w * 0.25)} -4 ${num(w * 0.5)} 0t${num(w * 0.5)} 0`, '#ffffff', 1.1);
    for (let i = 0; i < 26; i++)
      out += p.disc(random() * w, h * (0.44 + random() * 0.54), 0.2 + random() * 0.3, t.mid, 0.7);
    return (
      out +
      p.oval(w * 0.5, h * 0.83, w * 0.36, 1.6, t.deep) +
      put(crabFigure(p, t), w * 0.5, h * 0.64, w * 0.86) +
      put(shellFigure(p, { ...t, color: t.pale }), w * 0.16, h * 0.9, w * 0.2, -14) +
      put(starfishFigure(p, { ...t, accent: '#5fb0ad' }), w * 0.87, h * 0.91, w * 0.18, 12)
    );
  },
};

function jellyfishFigure(pen: Pen, t: Tones): string {
  const arms = [26, 38, 50, 62, 74]
    .map((x, i) =>
      pen.line(
        `M${x} 48c${i % 2 ? 7 : -7} 12 ${i % 2 ? -7 : 7} 22 0 ${30 + (i % 3) * 8}`,
        i % 2 ? t.accent : '#ffffff',
        i % 2 ? 3.4 : 2,
      ),
    )
    .join('');
  return (
    arms +
    pen.fill('M14 48C14 18 32 6 50 6s36 12 36 42q-6 7-12 0-6 7-12 0-6 7-12 0-6 7-12 0-6 7-12 0-6 7-12 0z', t.accent) +
    pen.fill('M24 38c2-16 12-24 22-25-8 6-12 14-13 25z', '#ffffff', 0.55) +
    [
      [60, 24, 3],
      [70, 34, 2.4],
      [56, 36, 2],
    ]
      .map(([x, y, r]) => pen.disc(x as number, y as number, r as number, '#ffffff', 0.7))
      .join('')
  );
}

export const jellyfish: Motif = {
  figure: jellyfishFigure,
  fill: (w, h, t, random) =>
    deepWater(w, h, t, random) +
    put(jellyfishFigure(p, t), w * 0.56, h * 0.42, w * 0.62, 10) +
    put(jellyfishFigure(p, { ...t, accent: '#9fd3c7' }), w * 0.22, h * 0.62, w * 0.3, -14) +
    put(jellyfishFigure(p, { ...t, accent: '#f2e3c4' }), w * 0.84, h * 0.72, w * 0.2, 8),
};

function ferryFigure(pen: Pen, t: Tones): string {
  return (
    pen.fill('M8 62h84l-10 20H20z', t.accent) +
    pen.fill('M9 62h82l-2.4 5H11.6z', '#fffaf2') +
    pen.fill('M24 44h54v18H24z', '#fffaf2') +
    pen.fill('M34 30h30v14H34z', '#fffaf2') +
    pen.fill('M66 22h12v22H66z', t.deep) +
    pen.fill('M66 26h12v6H66z', '#e8836b') +
    [30, 41, 52, 63].map((x) => pen.disc(x + 3, 53, 3.6, t.accent)).join('') +
    [38, 47, 56].map((x) => pen.fill(`M${x} 34h6v6h-6z`, '#9fd3c7')).join('') +
    pen.line('M30 30V14M30 15l12 4-12 4', t.deep, 1.6) +
    pen.disc(76, 15, 4, '#ffffff', 0.9) +
    pen.disc(84, 10, 5.4, '#ffffff', 0.8)
  );
}

export const ferry: Motif = {
  figure: ferryFigure,
  fill: (w, h, t) => {
    const hill = p.fill(
      `M0 ${num(h * 0.55)}q${num(w * 0.2)} -9 ${num(w * 0.4)} -3q${num(w * 0.2)} -10 ${num(w * 0.62)} 2V${num(h * 0.6)}H0z`,
      t.mid,
      0.7,
    );
    const sea = shore(w, h, { ...t, color: '#9fd3c7', mid: '#5fb0ad', deep: '#1f6f78', soft: t.soft }, 0.57);
    const sky = sea.replace(/<path/, `${hill}<path`);
    return (
      sky +
      put(ferryFigure(p, t), w * 0.5, h * 0.52, w * 0.82) +
      p.fill(`M-2 ${num(h)}V${num(h * 0.74)}${'q2.5-2 5 0t5 0'.repeat(Math.ceil(w / 10) + 1)}V${num(h)}z`, '#3a8f92') +
      gulls(w * 0.14, h * 0.18, t.accent) +
      p.line(
        `M3 ${num(h * 0.86)}q3-1.6 6 0M${num(w * 0.5)} ${num(h * 0.9)}q3-1.6 6 0M${num(w * 0.76)} ${num(h * 0.83)}q2-1.4 4 0`,
        '#e4f3ef',
        0.5,
      )
    );
  },
};

function shellFigure(pen: Pen, t: Tones): string {
  const ribs = [-34, -20, -7, 7, 20, 34]
    .map((x) => pen.line(`M50 84Q${50 + x * 0.7} 56 ${50 + x} ${26 + Math.abs(x) * 0.42}`, '#ffffff', 2.2))
    .join('');
  return (
    pen.fill('M40 78h20l6 12q-16 6-32 0z', t.mid) +
    pen.fill(
      'M50 88C30 78 8 60 10 40q4-9 12-9 4-12 15-12 6-9 13-9t13 9q11 0 15 12 8 0 12 9c2 20-20 38-40 48z',
      t.accent,
    ) +
    ribs +
    pen.line('M18 48q32-18 64 0M28 64q22-12 44 0', t.pale, 1.4)
  );
}

export const shell: Motif = {
  figure: (pen, t) => shellFigure(pen, { ...t, accent: t.color, mid: t.accent }),
  fill: (w, h, t) => {
    const rays = Array.from({ length: 12 }, (_, i) =>
      p.fill(
        `M${num(w / 2)} ${num(h * 0.5)}L${num(w / 2 + Math.cos((i * Math.PI) / 6) * w)} ${num(h * 0.5 + Math.sin((i * Math.PI) / 6) * w)}L${num(w / 2 + Math.cos(((i + 0.5) * Math.PI) / 6) * w)} ${num(h * 0.5 + Math.sin(((i + 0.5) * Math.PI) / 6) * w)}z`,
        t.mid,
        0.3,
      ),
    ).join('');
    return (
      box(0, 0, w, h, t.color) +
      rays +
      p.disc(w / 2, h * 0.48, w * 0.37, t.pale) +
      put(shellFigure(p, t), w / 2, h * 0.49, w * 0.6) +
      [
        [0.14, 0.12],
        [0.86, 0.12],
        [0.14, 0.88],
        [0.86, 0.88],
      ]
        .map(([x, y], i) =>
          put(
            i % 2 ? starfishFigure(p, t) : shellFigure(p, { ...t, accent: t.mid }),
            w * (x as number),
            h * (y as number),
            w * 0.17,
            i * 20,
          ),
        )
        .join('')
    );
  },
};

function starfishFigure(pen: Pen, t: Tones): string {
  const point = (i: number, r: number): string =>
    `${num(50 + Math.sin((i * Math.PI) / 5) * r)} ${num(52 - Math.cos((i * Math.PI) / 5) * r)}`;
  let d = `M${point(0, 46)}`;
  for (let i = 1; i <= 10; i++)
    d += i % 2 ? `Q${point(i - 0.3, 30)} ${point(i, 20)}` : `Q${point(i - 0.7, 30)} ${point(i, 46)}`;
  const dots = [0, 2, 4, 6, 8]
    .map((i) =>
      [16, 25, 34]
        .map((r, n) =>
          pen.disc(
            50 + Math.sin((i * Math.PI) / 5) * r,
            52 - Math.cos((i * Math.PI) / 5) * r,
            2.4 - n * 0.5,
            '#ffffff',
            0.85,
          ),
        )
        .join(''),
    )
    .join('');
  return (
    pen.line(`${d}z`, t.accent, 9) +
    pen.fill(`${d}z`, t.accent) +
    dots +
    pen.disc(44, 50, 2, '#22313c') +
    pen.disc(56, 50, 2, '#22313c') +
    pen.line('M45 56q5 4 10 0', '#22313c', 1.6)
  );
}

export const starfish: Motif = {
  figure: (pen, t) => starfishFigure(pen, { ...t, accent: t.accent }),
  fill: (w, h, t, random) =>
    deepWater(w, h, t, random) +
    p.oval(w * 0.24, h * 0.88, w * 0.18, 3.4, t.mid) +
    p.oval(w * 0.8, h * 0.9, w * 0.22, 3, t.deep) +
    put(starfishFigure(p, t), w * 0.52, h * 0.52, w * 0.66, -8) +
    put(shellFigure(p, { ...t, accent: '#f7d9cc' }), w * 0.2, h * 0.86, w * 0.2, 10),
};

function heronFigure(pen: Pen, t: Tones): string {
  return (
    pen.line('M46 66l-4 28M56 66l2 28M42 94h8M58 94h8', t.accent, 2) +
    pen.fill('M28 70c-6-2-16-8-20-14 10 2 14 0 20-6 12-12 34-10 40 2 4 12-16 22-40 18z', t.accent) +
    pen.fill('M14 58c14 2 26-4 40-2-8 8-22 12-34 8z', t.deep) +
    pen.line('M62 54c10-8 0-20 4-32', t.accent, 6.5) +
    pen.oval(68, 18, 8, 5.6, t.accent, 12) +
    pen.fill('M74 15l22 5-22 4z', '#e8836b') +
    pen.line('M62 15q-10-3-14-9', t.deep, 2) +
    pen.disc(70, 17, 1.5, '#ffffff')
  );
}

export const heron: Motif = {
  figure: heronFigure,
  fill: (w, h, t) => {
    const reeds = [0.06, 0.13, 0.2, 0.9, 0.96]
      .map(
        (x, i) =>
          p.line(
            `M${num(w * x)} ${num(h)}q${i % 2 ? 1.5 : -1.5} ${num(-h * 0.2)} ${i % 2 ? 0.5 : -0.5} ${num(-h * (0.42 + (i % 3) * 0.07))}`,
            '#6d8f5e',
            0.8,
          ) + p.oval(w * x + (i % 2 ? 0.5 : -0.5), h * (0.55 - (i % 3) * 0.07), 0.9, 3, '#8a6a4d'),
      )
      .join('');
    const mirrored = `<g transform="translate(${num(w)} 0) scale(-1 1)">${put(heronFigure(p, t), w * 0.48, h * 0.5, w * 0.8)}</g>`;
    return (
      box(0, 0, w, h, t.color) +
      p.disc(w * 0.3, h * 0.24, w * 0.17, '#fff7e4') +
      p.disc(w * 0.3, h * 0.24, w * 0.12, '#e8836b', 0.55) +
      p.fill(`M0 ${num(h * 0.72)}q${num(w * 0.25)} -1.6 ${num(w * 0.5)} 0t${num(w * 0.5)} 0V${num(h)}H0z`, '#9fd3c7') +
      p.line(`M4 ${num(h * 0.8)}h10M${num(w * 0.5)} ${num(h * 0.86)}h12M9 ${num(h * 0.92)}h8`, '#e4f3ef', 0.6) +
      reeds +
      mirrored
    );
  },
};

export const seaweed: Motif = {
  figure: (pen, t) =>
    [
      [30, -1, 64],
      [44, 1, 82],
      [58, -1, 70],
      [72, 1, 52],
    ]
      .map(([x, s, tall], i) =>
        pen.line(
          `M${x} 94c${(s as number) * 14} ${-(tall as number) * 0.35} ${-(s as number) * 14} ${-(tall as number) * 0.6} ${(s as number) * 4} ${-(tall as number)}`,
          i % 2 ? t.accent : t.color,
          7,
        ),
      )
      .join('') + pen.oval(50, 94, 34, 5, t.mid),
  fill: (w, h, t, random) => deepWater(w, h, t, random),
};

function canFigure(pen: Pen, t: Tones): string {
  return (
    pen.line('M34 36q16-26 34 0', t.deep, 5) +
    pen.line('M74 44q22-2 18 20-3 15-20 14', t.deep, 5) +
    pen.fill('M30 66L10 36l6-4 18 20z', t.accent) +
    pen.fill('M4 38l16-12 3 4L7 42z', t.deep) +
    pen.fill('M30 38h46l5 48q-28 8-56 0z', t.color) +
    pen.fill('M30 38h46l.8 8H29z', t.accent) +
    pen.fill('M27.5 62q25 7 51 0l1 9q-27 7-53 0z', t.pale) +
    pen.disc(3, 50, 2.6, t.accent) +
    pen.disc(9, 58, 2.6, t.accent) +
    pen.disc(2, 66, 2.2, t.accent)
  );
}

export const can: Motif = {
  figure: canFigure,
  fill: (w, h, t) => box(0, 0, w, h, t.soft) + put(canFigure(p, t), w / 2, h / 2, Math.min(w, h) * 0.8),
};

/** A greyhound on its long legs, with a collar. */
function houndFigure(pen: Pen, t: Tones): string {
  return (
    pen.line('M46 58l3 34h-4M79 52c3 9-6 13-4 21l2 19h-4', t.deep, 4.6) +
    pen.line('M88 45c9 7 8 20 3 31', t.color, 3.2) +
    pen.fill('M31 41c12-8 36-6 50-1 8 3 10 10 8 19l-6 2c-5-8-13-9-21-6-8 6-16 12-24 12-9-2-12-15-7-26z', t.color) +
    pen.line('M37 46L25 29', t.color, 12) +
    pen.fill('M31 22c-3-6-11-6-16 1L3 31c-3 2-1 6 3 5l15-1c8 0 13-6 10-13z', t.color) +
    pen.fill('M28 20c6-1 11 4 11 10-5 0-11-2-13-7z', t.deep) +
    pen.line('M38 60l-2 32h-4M85 52c5 9-4 13-1 22l3 18h-4', t.color, 5) +
    pen.line('M26 39l11-8', t.accent, 4.4) +
    pen.disc(17.5, 26.5, 1.7, '#22313c') +
    pen.disc(4, 32.6, 2.2, '#22313c')
  );
}

export const hound: Motif = {
  figure: houndFigure,
  fill: (w, h, t) => box(0, 0, w, h, t.soft) + put(houndFigure(p, t), w / 2, h / 2, Math.min(w, h) * 0.85),
};
