import { stillToWhiteOut } from '../../bench/what-is-done';
import { whiteOutKey } from '../../bench/step-key';
import { strokesOf } from '../../bench/strokes';
import { whiteOutOf } from '../../bench/white-out';
import { lookAlikes } from '../../week/twice';
import type { Idea } from '../remedy';
import { asPatch } from '../remedy';

/** What is to be done at the table first is done. */
export const tickWhiteOut: Idea = ({ context, placements, finding }) => {
  const all = whiteOutOf(context, placements).filter((w) => w.page === finding.page);
  const ofPage = stillToWhiteOut(context.ticked, finding.page, all);
  const strokes = strokesOf({ book: context.book, placements }, ofPage);
  return ofPage.length ? [asPatch({ do: 'whited out' }, { ticked: whiteOutKey(finding.page, ofPage, strokes) })] : [];
};

/** Items that look alike are both meant. */
export const keepBoth: Idea = ({ context, finding }) => {
  const titles = new Set(
    context.week.demands.filter((d) => finding.about.demands?.includes(d.key)).map((d) => d.title),
  );
  const pairs = lookAlikes(context.week.demands)
    .filter(({ one, other }) => titles.has(one.title) && titles.has(other.title))
    .map(({ one, other }) => [one.uid, other.uid] as const);
  return pairs.length ? [asPatch({ do: 'both meant' }, { bothMeant: pairs })] : [];
};
