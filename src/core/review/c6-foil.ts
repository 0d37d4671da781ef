import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName } from '../spread/voice';
import { foilOfDay } from '../spread/foil';

/** C6: one foil, or two in equal shares, in turn by day. */
export const c6Foil: Rule<Case> = {
  code: 'C6',
  title: 'One foil, or two in equal shares',
  say,
  check(view) {
    const shiny = view.placements.flatMap((p) => {
      const foil = view.pieceOf(p)?.foil ?? 'none';
      return foil === 'none' ? [] : [{ p, foil }];
    });
    const counts = [...new Set(shiny.map((s) => s.foil))].map((foil) => ({
      foil,
      pieces: shiny.filter((s) => s.foil === foil),
    }));
    const { foils } = view.context.options;
    if (!foils.length) {
      const fewest = [...counts].sort((a, b) => a.pieces.length - b.pieces.length || (a.foil < b.foil ? -1 : 1))[0];
      const first = fewest?.pieces[0];
      if (counts.length < 2 || !first || !fewest) return [];
      return [
        {
          rule: 'C6',
          severity: 'look',
          ...at(first.p),
          placements: fewest.pieces.map((s) => s.p.id),
          about: { is: 'mixed', foils: counts.map((c) => ({ foil: c.foil, count: c.pieces.length })) },
        },
      ];
    }
    const strays = shiny
      .filter(({ p, foil }) => (p.day === null ? !foils.includes(foil) : foil !== foilOfDay(view.context, p.day)))
      .map(({ p, foil }): Found => ({
        rule: 'C6',
        severity: 'fix',
        ...at(p),
        placements: [p.id],
        about:
          p.day === null
            ? { is: 'stray', foil }
            : { is: 'stray', days: [p.day], foil, metal: foilOfDay(view.context, p.day) },
      }));
    const shares = foils.map((foil) => shiny.filter((s) => s.foil === foil).length);
    const apart = foils.length === 2 ? Math.abs((shares[0] as number) - (shares[1] as number)) : 0;
    const first = shiny[0];
    if (apart <= 2 || !first) return strays;
    return [
      ...strays,
      {
        rule: 'C6',
        severity: 'look',
        ...at(first.p),
        placements: shiny.map((s) => s.p.id),
        about: { is: 'unequal', foils: foils.map((foil, i) => ({ foil, count: shares[i] as number })) },
      },
    ];
  },
};

type Found = Finding<Case>;

interface Shares extends About {
  readonly is: 'mixed' | 'unequal';
  readonly foils: readonly { readonly foil: string; readonly count: number }[];
}
interface Stray extends About {
  readonly is: 'stray';
  readonly foil: string;
  /** the day's own */
  readonly metal?: string | null;
}
type Case = Shares | Stray;

function say({ about }: Found, voice: Voice): Said {
  if (about.is === 'stray') {
    const [day] = about.days ?? [];
    return {
      message:
        day === undefined
          ? `A piece has ${about.foil} foil, which was not chosen.`
          : `${dayName(voice, day)} has a piece with ${about.foil} foil; its metal is ${about.metal}.`,
      remedy: 'Swap it for one without foil, or of the day’s metal.',
    };
  }
  const shares = about.foils.map((f) => `${f.foil} on ${counted(f.count, 'piece')}`).join(', ');
  return about.is === 'mixed'
    ? {
        message: `The spread mixes foils that were not chosen: ${shares}.`,
        remedy: 'Keep to one, or choose two to take turns by day.',
      }
    : {
        message: `The two metals are not in equal shares: ${shares}.`,
        remedy: 'Add to the one, or take from the other.',
      };
}
