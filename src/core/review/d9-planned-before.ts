import type { Finding, Rule } from './finding';
import { at, counted, dayName, topOf } from './say';

/** D9: a task due by a day is planned before it; on the spread the work never stands after its due. */
export const d9PlannedBefore: Rule = {
  code: 'D9',
  title: 'What is due is done the day before',
  check(view) {
    const { demands } = view.context.week;
    return demands
      .filter((d) => d.aspect === 'due')
      .flatMap((due): Finding[] => {
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
            message: `“${work.title}” is due on ${dayName(view, due.day)} and stands on ${day === due.day ? 'that day itself, 0 days ahead' : `${dayName(view, day)}, ${counted(day - due.day, 'day')} too late`}.`,
            remedy: `Move it to ${dayName(view, Math.max(0, due.day - 1))} or earlier.`,
          },
        ];
      });
  },
};
