import { arrange } from '../../src/core/arrange/arrange';
import { review, viewOf, withoutPlace } from '../../src/core/review/review';
import { beautyOf, meanOf } from '../../tests/beauty';
import type { KitWeek } from '../../tests/kit-corpus';
import { kitCorpus } from '../../tests/kit-corpus';
import { ms, quantile, say } from './report';

/** Weeks over all sorts of kits, schools and books: what is placed, how, and how it looks. */
export function kitCorpusTable(): string {
  const lines = kitCorpus().map((week) => {
    const started = performance.now();
    const placements = arrange(week.context);
    const took = performance.now() - started;
    const view = viewOf(week.context, placements);
    const findings = review(view);
    const items = week.context.week.demands.length;
    return {
      week,
      took,
      items,
      placed: items - withoutPlace(view),
      cut: placements.filter((p) => p.text?.endsWith('…')).length,
      stop: findings.filter((f) => f.severity === 'stop').length,
      beauty: beautyOf(week.context, placements),
    };
  });
  type Line = (typeof lines)[number];
  const sum = (some: readonly Line[], of: (l: Line) => number): number => some.reduce((n, l) => n + of(l), 0);
  const times = lines.map((l) => l.took).sort((a, b) => a - b);
  say(
    `kits of fifteen sorts: ${lines.length} weeks of 0 to 70 items over all schools and books`,
    '99 of 100 items placed in full text',
    `${sum(lines, (l) => l.placed)} of ${sum(lines, (l) => l.items)} items placed, ${sum(lines, (l) => l.cut)} cut off; ${sum(lines, (l) => l.stop)} findings that would not work`,
  );
  say(
    'a week of them arranged',
    'median under 300 ms',
    `median ${ms(quantile(times, 0.5))}, 95th ${ms(quantile(times, 0.95))}`,
  );
  const percent = (n: number | null): string => (n === null ? '' : String(Math.round(n * 100)));
  const row = (name: string, some: readonly Line[]): string => {
    const mean = (of: (l: Line) => number | null): string => percent(meanOf(some.map(of)));
    return `| ${name} | ${sum(some, (l) => l.placed)} of ${sum(some, (l) => l.items)} | ${mean((l) => l.beauty.ink)} | ${mean((l) => l.beauty.used.bases)} ${mean((l) => l.beauty.used.boxes)} ${mean((l) => l.beauty.used.icons)} ${mean((l) => l.beauty.used.scripts)} ${mean((l) => l.beauty.used.deco)} | ${mean((l) => l.beauty.dressed)} | ${mean((l) => l.beauty.holes)} | ${mean((l) => l.beauty.same)} | ${mean((l) => (l.beauty.rhythm ? 1 : 0))} |`;
  };
  const by = (of: (w: KitWeek) => string): string =>
    [...new Set(lines.map((l) => of(l.week)))]
      .map((name) =>
        row(
          name,
          lines.filter((l) => of(l.week) === name),
        ),
      )
      .join('\n');
  const head =
    '| | items placed | in ink | used: bases boxes icons scripts deco | dressed | holes | same color | rhythm |\n|---|---|---|---|---|---|---|---|';
  return `\n## Kits of many sorts\n\n${lines.length} weeks (tests/kit-sorts.ts, tests/kit-corpus.ts); all figures but the first of 100. In ink: items written on the paper. Used: of the kit’s own copies. Dressed: bases with an icon, a script or a little, of those for which the kit has one. Holes: days with an open place over 45 mm. Same color: neighbors down a column that are one color. Rhythm: weeks whose box heights have a name.\n\n${head}\n${by((w) => w.sort)}\n${by((w) => `*${w.manner}*`)}\n${row('**all**', lines)}\n`;
}
