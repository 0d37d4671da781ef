import type { Ink } from './ink';
import { along, blend, ink, lit } from './ink';
import { cloudsFrom, noiseFrom } from './noise';

/** What a place of a picture shows. x and y in mm from the top left; of a picture of w × h mm. */
export type Painter = (x: number, y: number, w: number, h: number) => Ink;

const bump = (d: number, wide: number): number => Math.exp(-(d * d) / (wide * wide));

/** The sun comes up behind the breakwater. */
function dawn(): Painter {
  const [sky, sea] = [cloudsFrom('dawn sky'), cloudsFrom('dawn sea', 4)];
  const stops = ['#29406a', '#7a6f99', '#d99a8b', '#f4c690'].map((c) => ink(c));
  return (x, y, w, h) => {
    const line = h * 0.58;
    const [sx, sy] = [w * 0.64, line - 2];
    if (y < line) {
      const base = along(stops, y / line + 0.25 * (sky(x / 14, y / 4) - 0.5));
      return blend(
        base,
        ink('#fff0c9'),
        bump(Math.hypot(x - sx, (y - sy) * 1.2), 4.5) + 0.4 * bump(Math.hypot(x - sx, y - sy), 14),
      );
    }
    const depth = (y - line) / (h - line);
    const wave = sea(x / (3 + 9 * depth), y / (0.5 + 1.6 * depth));
    const water = along([ink('#b98a8c'), ink('#4a5f86'), ink('#1d2f50')], depth + 0.5 * (wave - 0.5));
    const path = bump(x - sx - 3 * (wave - 0.5), 2 + 5 * depth) * (wave > 0.52 ? 1 : 0.25);
    return blend(water, ink('#ffdca0'), path);
  };
}

/** Ripples that the ebb left in the sand. */
function ripples(): Painter {
  const [bend, grain] = [cloudsFrom('ripples', 3), noiseFrom('sand')];
  return (x, y) => {
    const phase = y / 2.1 + 3.2 * bend(x / 16, y / 16) + 0.12 * x;
    const ridge = 0.5 + 0.5 * Math.sin(2 * Math.PI * phase);
    const wet = blend(ink('#8b7a66'), ink('#e6d2b0'), ridge ** 1.6);
    return lit(blend(wet, ink('#9db2bd'), ridge < 0.18 ? 0.55 : 0), 0.92 + 0.16 * grain(x * 6, y * 6));
  };
}

/** Rows of the allotment, seen from the shed's roof. */
function rows(): Painter {
  const [leaf, soil] = [cloudsFrom('leaves', 4), cloudsFrom('soil')];
  return (x, y, w, h) => {
    const far = 1 - y / h;
    const spread = 1.1 + 2.6 * (1 - far);
    const row = (x - w / 2) / spread;
    const inRow = Math.abs((((row % 2.6) + 2.6) % 2.6) - 1.3);
    const green = leaf(x / 1.6, y / 1.6) - 0.25 * inRow;
    const earth = lit(ink('#5c4030'), 0.75 + 0.5 * soil(x / 3, y / 3));
    const plant = along([ink('#2f4d2a'), ink('#5e8a3e'), ink('#a9c46c')], leaf(x / 0.9, y / 0.9));
    const ground = blend(earth, plant, (green - 0.18) * 7);
    return y < h * 0.16 ? along([ink('#cfdfe4'), ink('#9dbdb0')], y / (h * 0.16)) : lit(ground, 0.8 + 0.3 * far);
  };
}

/** Rain on the wheelhouse window, the quay's lamps behind it. */
function rain(): Painter {
  const [glass, lamps] = [noiseFrom('drops'), cloudsFrom('lamps', 2)];
  return (x, y, _, h) => {
    const cell = 2.4;
    const [cx, cy] = [Math.floor(x / cell), Math.floor(y / cell)];
    let drop = 0;
    for (const i of [-1, 0, 1])
      for (const j of [-1, 0, 1]) {
        const [u, v] = [cx + i, cy + j];
        const r = 0.25 + 0.75 * glass(u * 7.3 + 2, v * 5.1);
        const px = (u + glass(u * 3.7, v * 9.1 + 4)) * cell;
        const py = (v + glass(u * 8.9 + 1, v * 2.3)) * cell;
        const d = Math.hypot(x - px, (y - py) * 0.85) / r;
        if (d < 1) drop = Math.max(drop, 1 - d);
      }
    const back = along(
      [ink('#22303f'), ink('#41566a'), ink('#7d8b93')],
      lamps(x / 9, y / 9) * 0.9 + 0.25 * (1 - y / h),
    );
    const glow = blend(back, ink('#f3b765'), Math.max(0, lamps(x / 6 + 9, y / 6) - 0.62) * 3);
    return drop > 0 ? blend(lit(glow, 0.75), ink('#eef3f5'), drop > 0.55 ? 0.75 : 0.2 * drop) : glow;
  };
}

/** The harbor at night, out of focus: as the deck sees it after the last crossing. */
function lights(): Painter {
  const place = noiseFrom('bokeh');
  const colors = ['#f6c667', '#e8795a', '#8fd0d8', '#f4ead2'].map((c) => ink(c));
  const spots = Array.from({ length: 34 }, (_, i) => ({
    x: place(i * 3.1, 1),
    y: 0.12 + 0.7 * place(i * 5.7, 9),
    r: 1.2 + 3.4 * place(i * 2.3, 17) ** 2,
    c: colors[Math.floor(place(i * 9.7, 4) * 4)] as Ink,
  }));
  return (x, y, w, h) => {
    let shown = along([ink('#0e1526'), ink('#182742'), ink('#101a2c')], y / h);
    for (const s of spots) {
      const d = Math.hypot(x - s.x * w, y - s.y * h) / s.r;
      if (d < 1) shown = blend(shown, s.c, d > 0.88 ? 0.6 : 0.38);
    }
    return shown;
  };
}

/** Piles of the old pier in the fog. */
function fog(): Painter {
  const [mist, wood] = [cloudsFrom('mist', 3), noiseFrom('wood')];
  return (x, y, w, h) => {
    const air = along([ink('#c9d1d3'), ink('#e6e6e0'), ink('#b6c2c4')], y / h + 0.3 * (mist(x / 18, y / 10) - 0.5));
    let shown = air;
    for (let i = 0; i < 7; i++) {
      const near = (i + 1) / 7;
      const at = w * (0.5 + (i % 2 ? 0.42 : -0.38) * near);
      const [top, bottom, wide] = [h * (0.5 - 0.26 * near), h * (0.56 + 0.3 * near), 0.5 + 1.5 * near];
      if (Math.abs(x - at) < wide && y > top && y < bottom)
        shown = blend(air, lit(ink('#3d4448'), 0.8 + 0.4 * wood(x * 2, y / 4)), 0.25 + 0.6 * near);
      else if (Math.abs(x - at) < wide && y >= bottom && y < bottom + (bottom - top))
        shown = blend(shown, ink('#59646a'), 0.3 * near * mist(x * 2, y * 1.5));
    }
    return shown;
  };
}

/** Bladderwrack in a pool, the light from above. */
function weed(): Painter {
  const [flow, light] = [cloudsFrom('weed', 4), cloudsFrom('caustics', 3)];
  return (x, y) => {
    const bend = 5 * flow(x / 14, y / 14);
    const strand = Math.abs(Math.sin((x + bend * 2) / 2.3 + y / 9));
    const water = along([ink('#123d45'), ink('#2b7a78'), ink('#8cc9b4')], flow(x / 10 + 5, y / 10));
    const leaf = along([ink('#3c3418'), ink('#7d6a25'), ink('#b7a04a')], flow(x / 2, y / 2));
    const web = Math.abs(light(x / 5, y / 5) - 0.5) < 0.035 ? 0.5 : 0;
    return blend(strand < 0.34 ? leaf : water, ink('#e9fff2'), web);
  };
}

/** A kale leaf on the morning of the first frost. */
function frost(): Painter {
  const [crystal, hue] = [cloudsFrom('frost', 6), cloudsFrom('kale', 3)];
  return (x, y, w, h) => {
    const [u, v] = [x - w * 0.5, y - h * 0.95];
    const angle = Math.atan2(v, u);
    const vein = Math.abs(Math.sin(angle * 9 + 0.8 * hue(x / 9, y / 9)));
    const leaf = along([ink('#28433a'), ink('#4f7560'), ink('#86a78b')], hue(x / 7, y / 7));
    const ribbed = blend(leaf, ink('#b9cdb4'), vein < 0.12 ? 0.8 : 0);
    return blend(ribbed, ink('#f4fbff'), (crystal(x / 1.7, y / 1.7) - 0.52) * 5);
  };
}

/** Pictures made by our own code: no camera saw them. */
export const PHOTOGRAPHS = { dawn, ripples, rows, rain, lights, fog, weed, frost } satisfies Record<
  string,
  () => Painter
>;
export type Photograph = keyof typeof PHOTOGRAPHS;
