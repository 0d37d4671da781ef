/** How the time of arranging grows: one line for each stock of stickers. */
export interface GrowthLine {
  readonly name: string;
  readonly points: readonly { readonly items: number; readonly ms: number }[];
}

const [W, H, LEFT, TOP, RIGHT, FOOT] = [720, 400, 60, 30, 210, 46];
const COLORS = ['#17443F', '#B8691B', '#2C4A86', '#9B2743'];

/** A plain chart: items across, milliseconds up. */
export function growthSvg(lines: readonly GrowthLine[]): string {
  const most = {
    items: Math.max(...lines.flatMap((l) => l.points.map((p) => p.items))),
    ms: niceTop(Math.max(...lines.flatMap((l) => l.points.map((p) => p.ms)))),
  };
  const x = (items: number): number => LEFT + (items / most.items) * (W - LEFT - RIGHT);
  const y = (ms: number): number => H - FOOT - (ms / most.ms) * (H - TOP - FOOT);
  const ticks = [0, 0.25, 0.5, 0.75, 1];
  const grid = ticks.map(
    (t) =>
      `<line x1="${LEFT}" x2="${W - RIGHT}" y1="${y(t * most.ms)}" y2="${y(t * most.ms)}" stroke="#d8d2c4"/><text x="${LEFT - 8}" y="${y(t * most.ms) + 4}" text-anchor="end">${Math.round(t * most.ms)}</text><text x="${x(t * most.items)}" y="${H - FOOT + 18}" text-anchor="middle">${Math.round(t * most.items)}</text>`,
  );
  const drawn = lines.map(({ name, points }, i) => {
    const last = points.at(-1) ?? { items: 0, ms: 0 };
    const color = COLORS[i % COLORS.length];
    return `<polyline fill="none" stroke="${color}" stroke-width="2" points="${points.map((p) => `${x(p.items).toFixed(1)},${y(p.ms).toFixed(1)}`).join(' ')}"/>${points.map((p) => `<circle cx="${x(p.items).toFixed(1)}" cy="${y(p.ms).toFixed(1)}" r="3.5" fill="${color}"/>`).join('')}<text x="${x(last.items) + 10}" y="${y(last.ms) + 4 + i * 3}" fill="${color}">${name}</text>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" font-family="Figtree, sans-serif" font-size="13" fill="#3c4a47"><rect width="${W}" height="${H}" fill="#FFFDF9"/>${grid.join('')}${drawn.join('')}<text x="${LEFT}" y="18">milliseconds to arrange a whole week</text><text x="${(LEFT + W - RIGHT) / 2}" y="${H - 8}" text-anchor="middle">items in the week</text></svg>\n`;
}

function niceTop(n: number): number {
  const step = 10 ** Math.floor(Math.log10(n));
  return ([1, 2, 4, 5, 10].find((k) => k * step >= n) ?? 10) * step;
}
