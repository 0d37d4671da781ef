import { foilOfDay } from '../spread/foil';
import type { Finding, Rule } from './finding';
import { at, counted, dayName } from './say';

/** C6: one foil, or two in equal shares, in turn by day. */
export const c6Foil: Rule = {
  code: 'C6',
  title: 'One foil, or two in equal shares',
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
      const fewest = [...counts].sort((a, b) => a.pieces.length - b.pieces.length)[0];
      const first = fewest?.pieces[0];
      if (counts.length < 2 || !first || !fewest) return [];
      return [
        {
          rule: 'C6',
          severity: 'look',
          ...at(first.p),
          placements: fewest.pieces.map((s) => s.p.id),
          message: `The spread mixes foils that were not chosen: ${counts.map((c) => `${c.foil} on ${counted(c.pieces.length, 'piece')}`).join(', ')}.`,
          remedy: 'Keep to one, or choose two to take turns by day.',
        },
      ];
    }
    const strays = shiny
      .filter(({ p, foil }) => (p.day === null ? !foils.includes(foil) : foil !== foilOfDay(view.context, p.day)))
      .map(({ p, foil }): Finding => ({
        rule: 'C6',
        severity: 'fix',
        ...at(p),
        placements: [p.id],
        message:
          p.day === null
            ? `A piece has ${foil} foil, which was not chosen.`
            : `${dayName(view, p.day)} has a piece with ${foil} foil; its metal is ${foilOfDay(view.context, p.day)}.`,
        remedy: 'Swap it for one without foil, or of the day’s metal.',
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
        message: `The two metals are not in equal shares: ${foils.map((f, i) => `${f} on ${counted(shares[i] as number, 'piece')}`).join(', ')}.`,
        remedy: 'Add to the one, or take from the other.',
      },
    ];
  },
};
