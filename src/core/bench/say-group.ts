import type { Voice } from '../spread/voice';
import { dayName, sentence } from '../spread/voice';
import { pageName } from './measure-from';
import type { StepGroup } from './step';

/** What a group of steps is headed by. */
export function sayGroup(voice: Pick<Voice, 'context'>, group: StepGroup): string {
  switch (group.is) {
    case 'white-out':
      return `White-out, ${pageName(voice.context.book, group.page)}`;
    case 'base':
      return `Base, ${pageName(voice.context.book, group.page)}`;
    case 'day':
      return dayName(voice, group.day);
    default:
      return GROUPS[group.is];
  }
}

const GROUPS = {
  knife: 'All the cutting',
  sidebar: 'Sidebar',
  boxes: 'Full boxes',
  banner: 'Weekend banner',
  finish: 'Finish',
  permanent: 'What can’t be lifted again',
  ink: sentence('ink, last'),
} as const;
