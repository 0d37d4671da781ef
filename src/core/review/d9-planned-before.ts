import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, titleOf } from '../spread/voice';
import { at, topOf } from './where';

/** D9: a task due by a day is planned before it; on the spread the work never stands after its due. */
export const d9PlannedBefore: Rule<Case> = {
  code: 'D9',
  title: 'What is due is done the day before',
  say,
  check(view) {
    const { demands } = view.context.week;
    return demands
      .filter((d) => d.aspect === 'due')
      .flatMap((due): Found[] => {
        const work = demands.find((d) => d.uid === due.uid && d.aspect === 'item');
        const placed = work && view.carriers.get(work.key);
        const day = placed?.day ?? work?.day;
        if (!work || day === undefined || day < due.day) return [];
        return [
          {
            rule: 'D9',
            severity: 'fix',
            ...(placed ? at(placed) : topOf(view, due.day)),
            placements: placed ? [placed.id] : [],
            about: { is: 'too late', demands: [work.key], days: [due.day, day] },
          },
        ];
      });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly demands: readonly [string];
  /** when it is due, and where it stands */
  readonly days: readonly [number, number];
}

function say({ about: { demands, days } }: Found, voice: Voice): Said {
  const [due, stands] = days;
  const where =
    stands === due
      ? 'that day itself, 0 days ahead'
      : `${dayName(voice, stands)}, ${counted(stands - due, 'day')} too late`;
  return {
    message: `“${titleOf(voice, demands[0])}” is due on ${dayName(voice, due)} and planned for ${where}.`,
    remedy: `Move it to ${dayName(voice, Math.max(0, due - 1))} or earlier.`,
  };
}
