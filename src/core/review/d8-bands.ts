import { runsOfDays } from '../book/columns';
import type { Finding, Rule } from './finding';
import { at, counted, dayName, mm } from './say';

/** D8: what runs over several days is one band over them, at one height on a page. */
export const d8Bands: Rule = {
  code: 'D8',
  title: 'Bands run over all their days',
  check: (view) =>
    view.context.week.demands
      .filter((d) => d.kind === 'band' && d.lastDay > d.day)
      .flatMap((band): Finding[] => {
        const named = view.placements.filter((p) => p.items.includes(band.uid));
        if (!named.length) return []; // D5 says so
        const days = Array.from({ length: band.lastDay - band.day + 1 }, (_, i) => band.day + i);
        const runs = runsOfDays(view.context.book, days);
        return runs.flatMap((run): Finding[] => {
          const label = named.find((p) => p.page === run.page && run.days.includes(p.day ?? -1));
          const until = dayName(view, run.days.at(-1) as number);
          if (!label)
            return [
              {
                rule: 'D8',
                severity: 'fix',
                page: run.page,
                x: run.span.x,
                y: run.span.y,
                placements: named.map((p) => p.id),
                message: `“${band.title}” runs on to ${until}, but the other page does not say so: ${counted(run.days.length, 'day')} lack it.`,
                remedy: 'Lay its name at the beginning of that page as well.',
              },
            ];
          const strip = view.placements.find(
            (p) =>
              p.page === run.page &&
              p !== label &&
              p.y < label.y + label.h &&
              p.y + p.h > label.y &&
              p.w > run.span.w * 0.6,
          );
          const covered = strip ? strip.w : label.w;
          if (run.days.length === 1 || covered >= run.span.w - 1 || label.text?.includes('→')) return [];
          return [
            {
              rule: 'D8',
              severity: 'look',
              ...at(label),
              placements: [label.id],
              message: `“${band.title}” lasts till ${until}, and ${mm(view, run.span.w - covered)} of its ${mm(view, run.span.w)} have no band.`,
              remedy: 'Lay a strip under it over all its days, or write till when.',
            },
          ];
        });
      }),
};
