import loader from 'highs';

/** One linear sum: coefficients by variable. */
export type Sum = Readonly<Record<string, number>>;

/** Made once: what it takes to begin is more than what a small program takes. */
let made: ReturnType<typeof loader> | undefined;

export interface Program {
  readonly minimize: Sum;
  readonly rows: readonly { readonly sum: Sum; readonly is: '<=' | '>=' | '='; readonly to: number }[];
  readonly binaries: readonly string[];
}

const written = (sum: Sum): string =>
  Object.entries(sum)
    .map(([name, c]) => `${c < 0 ? '-' : '+'} ${Math.abs(c)} ${name}`)
    .join(' ') || '0 zero';

/**
 * The optimum of a program in zeros and ones by HiGHS (Huangfu and Hall, 2018), the outside reference; null when it
 * has none.
 */
export async function optimum({ minimize, rows, binaries }: Program): Promise<number | null> {
  const highs = await (made ??= loader());
  const text = [
    'Minimize',
    ` cost: ${written(minimize)}`,
    'Subject To',
    ...rows.map((r, i) => ` r${i}: ${written(r.sum)} ${r.is} ${r.to}`),
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');
  const solved = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 1e-9 });
  return solved.Status === 'Optimal' ? solved.ObjectiveValue : null;
}
