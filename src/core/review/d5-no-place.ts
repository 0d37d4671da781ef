import { sayReason, sayWayOut } from './say-missing';
import { at, topOf } from './where';
import type { Missing } from './unplaced';
import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { titleOf } from '../spread/voice';
import { isPlannedAhead } from '../spread/ahead';
import { writtenText } from '../week/demand';
import { lateItems } from './late-items';

/** D5: what cannot fit is said, with ways out; never dropped in silence, never shortened in silence. */
export const d5NoPlace: Rule<Case> = {
  code: 'D5',
  title: 'What cannot fit is said',
  say,
  check(view) {
    if (!view.placements.length) return [];
    const late = lateItems(view); // D4 speaks of those
    const missing = view.unplaced
      .filter((u) => !late.has(u.demand) && !view.openPlaces.some((p) => p.demands.includes(u.demand)))
      .map((u): Found => ({
        rule: 'D5',
        severity: isPlannedAhead(u.demand, view.context) ? 'stop' : 'look',
        ...topOf(view, u.demand.day),
        placements: [],
        about: { is: 'missing', demands: [u.demand.key], days: [u.demand.day], missing: u },
      }));
    const cutShort = view.context.week.demands.flatMap((d): Found[] => {
      const p = view.carriers.get(d.key);
      if (!p?.text?.endsWith('…') || d.list || writtenText(d).endsWith('…')) return [];
      const lost = [...writtenText(d)].length - [...p.text].length + 1;
      return [
        {
          rule: 'D5',
          severity: 'look',
          ...at(p),
          placements: [p.id],
          about: { is: 'written short', demands: [d.key], days: [d.day], lost, letters: [...writtenText(d)].length },
        },
      ];
    });
    return [...missing, ...cutShort];
  },
};

type Found = Finding<Case>;

type Case = { readonly demands: readonly [string]; readonly days: readonly [number] } & (
  | { readonly is: 'missing'; readonly missing: Missing }
  | { readonly is: 'written short'; readonly lost: number; readonly letters: number }
);

function say({ about }: Found, voice: Voice): Said {
  if (about.is === 'missing') {
    const [first, ...others] = about.missing.waysOut.map((way) => sayWayOut(way, voice));
    const ways = [first, ...others.map((way) => way.charAt(0).toLowerCase() + way.slice(1))].join('; or ');
    return { message: sayReason(about.missing, voice), remedy: `${ways}.` };
  }
  return {
    message: `“${titleOf(voice, about.demands[0]).slice(0, 40)}…” is written short: ${about.lost} of its ${about.letters} letters find no base that takes them.`,
    remedy: 'Give it a shorter title, or write the rest on the bottom strip.',
  };
}
