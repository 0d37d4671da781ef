import { whiteSpace } from '../../src/core/review/balance';
import { corpus } from '../../tests/corpus';
import { review, viewOf } from '../../src/core/review/review';
import { say } from './report';

/** The corpus: what becomes of sixty generated weeks, so that a change which makes it worse is seen. */
export function corpusTable(): string {
  const lines = corpus().map(({ name, context, placements }) => {
    const view = viewOf(context, placements);
    const findings = review(view);
    const count = (severity: string): number => findings.filter((f) => f.severity === severity).length;
    const items = context.week.demands.length;
    return {
      name,
      items,
      placed: items - view.unplaced.length,
      stop: count('stop'),
      fix: count('fix'),
      look: count('look'),
      white: [0, 1, 2, 3, 4, 5, 6].map((day) => whiteSpace(view, day)),
    };
  });
  const sum = (of: (l: (typeof lines)[number]) => number): number => lines.reduce((n, l) => n + of(l), 0);
  say(
    `corpus: ${lines.length} generated weeks over all books, schools and kits`,
    '',
    `${((sum((l) => l.placed) / sum((l) => l.items)) * 100).toFixed(1)} of 100 items placed; ${sum((l) => l.stop)} would not work, ${sum((l) => l.fix)} would show, ${sum((l) => l.look)} good to know`,
  );
  const share = (n: number): string => String(Math.round(n * 100));
  return `\n## Corpus\n\nSixty generated weeks of 12 to 50 items (tests/corpus.ts). Findings: would not work / would show / good to know. White: of 100, by day.\n\n| week | items placed | findings | white |\n|---|---|---|---|\n${lines.map((l) => `| ${l.name} | ${l.placed} of ${l.items} | ${l.stop} / ${l.fix} / ${l.look} | ${l.white.map(share).join(' ')} |`).join('\n')}\n`;
}
