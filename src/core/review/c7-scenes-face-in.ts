import { isPattern } from '../art/motifs/registry';
import { pageOf } from '../book/columns';
import { boxesOf } from './boxes-of';
import type { Finding, Rule } from './finding';
import { dayName } from './say';

/** C7: printed scenes face into the spread; two of the same print are turned opposite ways. */
export const c7ScenesFaceIn: Rule = {
  code: 'C7',
  title: 'Scenes face into the spread',
  check(view) {
    const boxes = boxesOf(view);
    const outward = boxes.flatMap((box): Finding[] => {
      const inward = pageOf(view.context.book, box.rect.page).bindingSide;
      if (box.piece.faces === 'none' || box.piece.faces === inward) return [];
      return [
        {
          rule: 'C7',
          severity: 'look',
          page: box.rect.page,
          x: box.rect.x,
          y: box.rect.y,
          placements: box.parts.map((p) => p.id),
          message: `${dayName(view, box.days[0] as number)}’s ${box.piece.motif || 'scene'} looks ${box.piece.faces}, out of the spread.`,
          remedy: `Swap it with a box of the other page.`,
        },
      ];
    });
    const alike = boxes.flatMap((a, i) =>
      boxes
        .slice(i + 1)
        .filter((b) => b.piece === a.piece && isPattern(a.piece.motif) && a.parts[0]?.turn === b.parts[0]?.turn)
        .map((b): Finding => ({
          rule: 'C7',
          severity: 'look',
          page: b.rect.page,
          x: b.rect.x,
          y: b.rect.y,
          placements: [...a.parts, ...b.parts].map((p) => p.id),
          message: `${dayName(view, a.days[0] as number)} and ${dayName(view, b.days[0] as number)} have the same ${a.piece.motif} turned the same way.`,
          remedy: 'Turn one of them upside down.',
        })),
    );
    return [...outward, ...alike];
  },
};
