/**
 * A set of pixels and all that is no farther from one of them than a radius, px. The outermost pixels take no part:
 * they stay as they are and widen nothing. Each row's runs are laid over the rows around, as wide as the disc is there.
 * Source: dilation by a flat disc, Serra (1982), from memory; checked against OpenCV.
 */
export function dilated(set: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const out = set.slice();
  const reach = Math.floor(radius);
  for (let i = set.indexOf(1); i !== -1; i = set.indexOf(1, i)) {
    const y = (i / width) | 0;
    const end = (y + 1) * width - 1;
    const first = Math.max(1, i - y * width);
    while (i <= end && set[i]) i++;
    const last = Math.min(width - 1, i - y * width);
    if (y === 0 || y === height - 1 || first >= last) continue;
    for (let d = -Math.min(reach, y - 1); d <= reach && y + d < height - 1; d++) {
      const half = Math.floor(Math.sqrt(radius * radius - d * d));
      const row = (y + d) * width;
      out.fill(1, row + Math.max(1, first - half), row + Math.min(width - 1, last + half));
    }
  }
  return out;
}
