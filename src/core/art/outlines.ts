import type { Shape } from '../kit/kinds';
import { num } from './svg';

/** The outline of a piece as a path in mm, `inset` mm inside its w x h. */
export function outline(shape: Shape, w: number, h: number, inset = 0): string {
  const [x, y, iw, ih] = [inset, inset, w - 2 * inset, h - 2 * inset];
  switch (shape) {
    case 'rounded':
      return rounded(x, y, iw, ih, Math.min(2.4, iw / 4, ih / 4));
    case 'circle':
      return oval(x, y, iw, ih);
    case 'notched': {
      const n = Math.min(4, ih * 0.4);
      return `M${num(x)} ${num(y)}H${num(x + iw)}l${num(-n)} ${num(ih / 2)}l${num(n)} ${num(ih / 2)}H${num(x)}z`;
    }
    case 'pointed': {
      const n = Math.min(4, ih * 0.4);
      return `M${num(x)} ${num(y)}H${num(x + iw - n)}l${num(n)} ${num(ih / 2)}l${num(-n)} ${num(ih / 2)}H${num(x)}z`;
    }
    case 'scalloped':
      return scalloped(x, y, iw, ih);
    case 'teardrop':
      return `M${num(x + iw / 2)} ${num(y)}C${num(x + iw * 0.62)} ${num(y + ih * 0.22)} ${num(x + iw)} ${num(y + ih * 0.4)} ${num(x + iw)} ${num(y + ih * 0.64)}A${num(iw / 2)} ${num(ih * 0.36)} 0 0 1 ${num(x)} ${num(y + ih * 0.64)}C${num(x)} ${num(y + ih * 0.4)} ${num(x + iw * 0.38)} ${num(y + ih * 0.22)} ${num(x + iw / 2)} ${num(y)}z`;
    case 'heart':
      return `M${num(x + iw / 2)} ${num(y + ih)}C${num(x - iw * 0.3)} ${num(y + ih * 0.5)} ${num(x + iw * 0.1)} ${num(y - ih * 0.2)} ${num(x + iw / 2)} ${num(y + ih * 0.25)}C${num(x + iw * 0.9)} ${num(y - ih * 0.2)} ${num(x + iw * 1.3)} ${num(y + ih * 0.5)} ${num(x + iw / 2)} ${num(y + ih)}z`;
    default:
      return `M${num(x)} ${num(y)}h${num(iw)}v${num(ih)}h${num(-iw)}z`;
  }
}

const rounded = (x: number, y: number, w: number, h: number, r: number): string =>
  `M${num(x + r)} ${num(y)}h${num(w - 2 * r)}a${num(r)} ${num(r)} 0 0 1 ${num(r)} ${num(r)}v${num(h - 2 * r)}a${num(r)} ${num(r)} 0 0 1 ${num(-r)} ${num(r)}h${num(2 * r - w)}a${num(r)} ${num(r)} 0 0 1 ${num(-r)} ${num(-r)}v${num(2 * r - h)}a${num(r)} ${num(r)} 0 0 1 ${num(r)} ${num(-r)}z`;

const oval = (x: number, y: number, w: number, h: number): string =>
  `M${num(x)} ${num(y + h / 2)}a${num(w / 2)} ${num(h / 2)} 0 1 1 ${num(w)} 0a${num(w / 2)} ${num(h / 2)} 0 1 1 ${num(-w)} 0z`;

/** Small bows along the left and right edges. */
function scalloped(x: number, y: number, w: number, h: number): string {
  const count = Math.max(2, Math.round(h / 3));
  const step = h / count;
  const edge = 1;
  const down = `a${num(edge)} ${num(step / 2)} 0 0 1 0 ${num(step)}`.repeat(count);
  const up = `a${num(edge)} ${num(step / 2)} 0 0 1 0 ${num(-step)}`.repeat(count);
  return `M${num(x + edge)} ${num(y)}H${num(x + w - edge)}${down}H${num(x + edge)}${up}z`;
}
