/**
 * Solves linear equations by Gauss-Jordan elimination with row pivots.
 * @param rows equations with their right side last; they are worked on in place
 * @throws RangeError when they do not determine all unknowns
 */
export function solved(rows: number[][]): number[] {
  const n = rows.length;
  for (let col = 0; col < n; col++) {
    let best = col;
    for (let r = col + 1; r < n; r++)
      if (Math.abs((rows[r] as number[])[col] as number) > Math.abs((rows[best] as number[])[col] as number)) best = r;
    const pivot = rows[best] as number[];
    if (Math.abs(pivot[col] as number) < 1e-9) throw new RangeError('equations that do not determine all unknowns');
    [rows[col], rows[best]] = [pivot, rows[col] as number[]];
    for (let r = 0; r < n; r++) {
      const row = rows[r] as number[];
      if (r === col || !row[col]) continue;
      const share = (row[col] as number) / (pivot[col] as number);
      for (let k = col; k <= n; k++) row[k] = (row[k] as number) - share * (pivot[k] as number);
    }
  }
  return rows.map((row, i) => (row[n] as number) / (row[i] as number));
}
