import { cleanText } from '../measure/clean-text';

/** A number for an attribute: at most two places. */
export const num = (n: number): string => String(Math.round(n * 100) / 100 + 0);

/** Text made safe for SVG and its attributes. */
export const esc = (text: string): string => cleanText(text).replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** A pen draws shapes; one pen draws them in color, another only the white paper round them. */
export interface Pen {
  fill(d: string, color: string, opacity?: number): string;
  line(d: string, color: string, width: number): string;
  disc(cx: number, cy: number, r: number, color: string, opacity?: number): string;
  oval(cx: number, cy: number, rx: number, ry: number, color: string, turn?: number): string;
}

const faint = (opacity?: number): string =>
  opacity === undefined || opacity === 1 ? '' : ` fill-opacity="${num(opacity)}"`;

export const colorPen: Pen = {
  fill: (d, color, opacity) => `<path d="${d}" fill="${color}"${faint(opacity)}/>`,
  line: (d, color, width) =>
    `<path d="${d}" fill="none" stroke="${color}" stroke-width="${num(width)}" stroke-linecap="round" stroke-linejoin="round"/>`,
  disc: (cx, cy, r, color, opacity) =>
    `<circle cx="${num(cx)}" cy="${num(cy)}" r="${num(r)}" fill="${color}"${faint(opacity)}/>`,
  oval: (cx, cy, rx, ry, color, turn = 0) =>
    `<ellipse cx="${num(cx)}" cy="${num(cy)}" rx="${num(rx)}" ry="${num(ry)}" fill="${color}"${turn ? ` transform="rotate(${num(turn)} ${num(cx)} ${num(cy)})"` : ''}/>`,
};

/** The rim a die-cut sticker has round its picture; `rim` in the figure's own units. */
export function rimPen(rim: number, paper: string): Pen {
  const edge = `fill="${paper}" stroke="${paper}" stroke-width="${num(rim * 2)}" stroke-linejoin="round" stroke-linecap="round"`;
  return {
    fill: (d) => `<path d="${d}" ${edge}/>`,
    line: (d, _color, width) =>
      `<path d="${d}" fill="none" stroke="${paper}" stroke-width="${num(width + rim * 2)}" stroke-linecap="round" stroke-linejoin="round"/>`,
    disc: (cx, cy, r) => `<circle cx="${num(cx)}" cy="${num(cy)}" r="${num(r)}" ${edge}/>`,
    oval: (cx, cy, rx, ry, _color, turn = 0) =>
      `<ellipse cx="${num(cx)}" cy="${num(cy)}" rx="${num(rx)}" ry="${num(ry)}" ${edge}${turn ? ` transform="rotate(${num(turn)} ${num(cx)} ${num(cy)})"` : ''}/>`,
  };
}

export const box = (x: number, y: number, w: number, h: number, color: string, r = 0): string =>
  `<rect x="${num(x)}" y="${num(y)}" width="${num(w)}" height="${num(h)}" fill="${color}"${r ? ` rx="${num(r)}"` : ''}/>`;

/** A figure drawn in a 100 x 100 box, put at a center with a size. */
export const put = (figure: string, cx: number, cy: number, size: number, turn = 0): string =>
  `<g transform="translate(${num(cx)} ${num(cy)})${turn ? ` rotate(${num(turn)})` : ''} scale(${Math.round(size * 100) / 10000}) translate(-50 -50)">${figure}</g>`;

/** A four-pointed star. */
export const spark = (x: number, y: number, r: number): string => {
  const q = num(r * 0.22);
  return `M${num(x)} ${num(y - r)}q${q} ${num(r - Number(q))} ${num(r)} ${num(r)}q${num(-r + Number(q))} ${q} ${num(-r)} ${num(r)}q${num(-Number(q))} ${num(-r + Number(q))} ${num(-r)} ${num(-r)}q${num(r - Number(q))} ${num(-Number(q))} ${num(r)} ${num(-r)}z`;
};
