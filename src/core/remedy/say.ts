import { sayDeed } from '../edit/say-deed';
import type { Voice } from '../spread/voice';
import { longDate, longDay } from '../week/day-names';
import type { RemedyDeed } from './deed';

const WITHOUT = {
  banner: 'No weekend banner this week',
  'date covers': 'No date covers this week',
  headers: 'No headers this week',
  'bottom washi': 'No bottom washi this week',
  'top band': 'Leave the top band out',
} as const;

const ALIGNED: Readonly<Record<string, string>> = {
  'flush left': 'Sit all pieces flush left',
  centered: 'Center all pieces',
};

/** What a remedy does, in words. */
export function sayRemedy(deed: RemedyDeed, voice: Pick<Voice, 'context' | 'unit'>): string {
  switch (deed.do) {
    case 'leave out':
      return `Leave “${deed.section.replace('-', ' ')}” out of the sidebar`;
    case 'without':
      return WITHOUT[deed.what];
    case 'so many boxes':
      return `${deed.count} full boxes will do this week`;
    case 'cover month flags':
      return 'Cover all month flags';
    case 'align':
      return ALIGNED[deed.align] ?? deed.align;
    case 'headers':
      if (deed.habit === 'alternating') return 'Let the headers alternate';
      return `Take the headers as ${deed.habit === 'same' ? 'all alike' : deed.habit}`;
    case 'foils':
      return deed.foils.length
        ? `Let ${deed.foils.map((f) => f.replace('-', ' ')).join(' and ')} take turns`
        : 'Take the foils as they come';
    case 'allow notes':
      return 'Let what has no room be noted in the sidebar or on the strip';
    case 'less white':
      return 'Want less white space this week';
    case 'space littles':
      return 'Space the littles';
    case 'another roll':
      return `Another roll of ${deed.meters} m is here`;
    case 'write first':
      return 'Write these before they go down';
    case 'whited out':
      return 'It is whited out';
    case 'both meant':
      return 'Both are meant';
    case 'put off':
      return `Put “${deed.title.slice(0, 30)}” off to next ${longDay(deed.to)}, ${longDate(deed.to)}`;
    default:
      return sayDeed(deed, voice);
  }
}
