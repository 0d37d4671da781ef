import { isPlannedAhead } from '../spread/ahead';
import { writtenText } from '../week/demand';
import type { Finding, Rule } from './finding';
import { lateItems } from './late-items';
import { at, topOf } from './say';

/** D5: what cannot fit is said, with ways out; never dropped in silence, never shortened in silence. */
export const d5NoPlace: Rule = {
  code: 'D5',
  title: 'What cannot fit is said',
  check(view) {
    if (!view.placements.length) return [];
    const late = lateItems(view); // D4 speaks of those
    const missing = view.unplaced
      .filter((u) => !late.has(u.demand) && !view.openPlaces.some((p) => p.demands.includes(u.demand)))
      .map((u): Finding => ({
        rule: 'D5',
        severity: isPlannedAhead(u.demand, view.context) ? 'stop' : 'look',
        ...topOf(view, u.demand.day),
        placements: [],
        message: u.reason,
        remedy: `${u.waysOut.join('; or ').replace(/; or (\p{L})/gu, (_, c: string) => `; or ${c.toLowerCase()}`)}.`,
      }));
    const cutShort = view.context.week.demands.flatMap((d): Finding[] => {
      const p = view.carriers.get(d.key);
      if (!p?.text?.endsWith('…') || d.list || writtenText(d).endsWith('…')) return [];
      const lost = [...writtenText(d)].length - [...p.text].length + 1;
      return [
        {
          rule: 'D5',
          severity: 'look',
          ...at(p),
          placements: [p.id],
          message: `“${d.title.slice(0, 40)}…” is written short: ${lost} of its ${[...writtenText(d)].length} letters find no base that takes them.`,
          remedy: 'Give it a shorter title, or write the rest on the bottom strip.',
        },
      ];
    });
    return [...missing, ...cutShort];
  },
};
