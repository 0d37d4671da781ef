import { sayWhiteOut } from '../../bench/steps';
import { whiteOutOf } from '../../bench/white-out';
import { lookAlikes } from '../../week/twice';
import type { Idea } from '../remedy';
import { asPatch } from '../remedy';

/** What is to be done at the table first is done. */
export const tickWhiteOut: Idea = ({ context, placements, finding }) => {
  const ofPage = whiteOutOf(context, placements).filter((w) => w.page === finding.page);
  return ofPage.length ? [asPatch('It is whited out', { ticked: sayWhiteOut(context, ofPage) })] : [];
};

/** Items that look alike are both meant. */
export const keepBoth: Idea = ({ context, finding }) => {
  const pairs = lookAlikes(context.week.demands)
    .filter(
      ({ one, other, how }) =>
        finding.message.includes(`“${one.title}”`) && (how === 'same' || finding.message.includes(`“${other.title}”`)),
    )
    .map(({ one, other }) => [one.uid, other.uid] as const);
  return pairs.length ? [asPatch('Both are meant', { bothMeant: pairs })] : [];
};
