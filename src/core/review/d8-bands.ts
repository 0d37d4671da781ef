import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, mm, titleOf } from '../spread/voice';
import { at } from './where';
import { runsOfDays } from '../book/columns';
import { right } from '../measure/rect';

/** D8: what runs over several days is one band over them, at one height on a page. */
export const d8Bands: Rule<Case> = {
  code: 'D8',
  title: 'Bands run over all their days',
  say,
  check: (view) =>
    view.context.week.demands
      .filter((d) => d.kind === 'band' && d.lastDay > d.day)
      .flatMap((band): Found[] => {
        const named = view.placements.filter((p) => p.items.includes(band.uid));
        if (!named.length) return []; // D5 says so
        const days = Array.from({ length: band.lastDay - band.day + 1 }, (_, i) => band.day + i);
        const runs = runsOfDays(view.context.book, days);
        return runs.flatMap((run): Found[] => {
          const label = named.find((p) => p.page === run.page && run.days.includes(p.day ?? -1));
          if (!label)
            return [
              {
                rule: 'D8',
                severity: 'fix',
                page: run.page,
                x: run.span.x,
                y: run.span.y,
                placements: named.map((p) => p.id),
                about: { is: 'unnamed', demands: [band.key], days: run.days },
              },
            ];
          const strip = view.placements.find(
            (p) =>
              p.page === run.page &&
              p !== label &&
              p.y < label.y + label.h &&
              p.y + p.h > label.y &&
              p.x < right(run.span) &&
              right(p) > right(label) &&
              p.w > (run.span.w - label.w) * 0.6,
          );
          const covered = strip ? Math.max(right(strip), right(label)) - Math.min(strip.x, label.x) : label.w;
          if (run.days.length === 1 || covered >= run.span.w - 1 || label.text?.includes('→')) return [];
          return [
            {
              rule: 'D8',
              severity: 'look',
              ...at(label),
              placements: [label.id],
              about: { is: 'bare', demands: [band.key], days: run.days, mm: run.span.w - covered, wide: run.span.w },
            },
          ];
        });
      }),
};

type Found = Finding<Case>;

type Case = { readonly demands: readonly [string]; readonly days: readonly number[] } & (
  { readonly is: 'unnamed' } | { readonly is: 'bare'; readonly mm: number; readonly wide: number }
);

function say({ about }: Found, voice: Voice): Said {
  const title = `“${titleOf(voice, about.demands[0])}”`;
  const until = dayName(voice, about.days.at(-1) as number);
  return about.is === 'unnamed'
    ? {
        message: `${title} runs on to ${until}, but the other page does not say so: ${counted(about.days.length, 'day')} lack it.`,
        remedy: 'Lay its name at the beginning of that page as well.',
      }
    : {
        message: `${title} lasts till ${until}, and ${mm(voice, about.mm)} of its ${mm(voice, about.wide)} have no band.`,
        remedy: 'Lay a strip under it over all its days, or write till when.',
      };
}
