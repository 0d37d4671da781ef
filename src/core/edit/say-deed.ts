import { own } from '../measure/own';
import { colorName } from '../color/color-name';
import type { Voice } from '../spread/voice';
import { counted, dayName, mm } from '../spread/voice';
import { longDay } from '../week/day-names';
import type { Deed, HowLetIn, HowStood, OneThing, Together } from './deed';
import { sayDesign, sayThing } from './thing';

const ONE: Readonly<Record<OneThing, (thing: string) => string>> = {
  place: (thing) => `Place ${thing}`,
  turn: (thing) => `Turn ${thing}`,
  'turn around': (thing) => `Turn ${thing} upside down`,
  lock: (thing) => `Lock ${thing}`,
  unlock: (thing) => `Unlock ${thing}`,
  'write on': (thing) => `Write on ${thing}`,
  'take off': (thing) => `Take off ${thing}`,
  'stick down': (thing) => `Stick down ${thing}`,
  'not stuck': (thing) => `Not stuck down yet: ${thing}`,
  'replace spoiled': (thing) => `Replace the spoiled ${thing}`,
  'take another': (thing) => `Take another for ${thing}`,
  'lay after': (thing) => `Lay ${thing} on afterwards`,
  'lay first': (thing) => `Lay ${thing} first`,
  'keep as a memory': (thing) => `Keep ${thing} as a memory`,
  'keep for later': (thing) => `Keep ${thing} for later`,
  'leave as stuck': (thing) => `Leave ${thing} where it is stuck`,
};

const ARRANGED = {
  week: 'Arrange the week',
  rest: 'Place what’s left',
  anew: 'Arrange the week anew',
  open: 'Arrange what is open',
  'open without it': 'Take it off and arrange what is open',
} as const;

const LET_IN: Readonly<Record<HowLetIn, string>> = {
  'as it is': '',
  'for a picture': ' in place of a picture',
  'for the box': ' in place of the full box',
};

const STOOD: Readonly<Record<HowStood, string>> = {
  'as it is': '',
  'on lower bases': ', on lower bases',
  'without pictures': ' without its pictures',
  'without box': ' without its box',
};

const CUT = {
  'from the offcut': 'Cut it from the offcut',
  'from the leftover': 'Cut it from what is left of the begun one',
  'without shapes': 'Cut its shapes off',
} as const;

const TOGETHER: Readonly<Record<Together, string>> = {
  move: 'Move',
  'take off': 'Take off',
  lock: 'Lock',
  unlock: 'Unlock',
};

const quoted = (title: string): string => `“${title.slice(0, 30)}”`;
const moving = (moved: number): string => (moved ? `, moving ${moved}` : '');
const lowered = (count: number): string =>
  count === 1 ? 'Take a lower base for one item' : `Take lower bases for ${count} items`;

/** A deed in words, for undo, redo and what is offered: `Move header “today”`. The only place where it becomes one. */
export function sayDeed(deed: Deed, voice: Pick<Voice, 'context' | 'unit'>): string {
  switch (deed.do) {
    case 'arrange':
      return ARRANGED[deed.what];
    case 'arrange day':
      return `Arrange ${dayName(voice, deed.day)}`;
    case 'lay out':
      return deed.from === 'several' ? 'Lay the week out from several' : 'Lay the week out otherwise';
    case 'lift all':
      return 'Lift everything';
    case 'move': {
      const how = deed.to === 'common edge' ? ' to the common edge' : ' to the middle between its neighbors';
      return `Move ${sayThing(deed.thing)}${deed.mm === undefined ? (deed.to ? how : '') : ` ${mm(voice, deed.mm)}`}`;
    }
    case 'swap':
      return deed.soonOver
        ? `Let a ${sayDesign(deed.by)} of it take the place of ${sayThing(deed.thing)}`
        : `Swap ${sayThing(deed.thing)} for ${sayDesign(deed.by)}`;
    case 'serve':
      return `Use ${sayDesign(deed.thing)} for ${quoted(deed.title)}`;
    case 'make room':
      return `Make room${moving(deed.moved)}`;
    case 'together':
      return `${own(TOGETHER, deed.what) ?? 'Change'} ${counted(deed.count, 'piece')}`;
    case 'copy to':
      return `Copy ${sayThing(deed.thing)} to ${dayName(voice, deed.day)}`;
    case 'replace all':
      return `Replace all of the ${deed.looks ?? deed.code}`;
    case 'change places':
      return deed.things.length
        ? `Let ${deed.things.map(sayThing).join(' and ')} change places`
        : 'Let the two change places';
    case 'recolor':
      return `Change ${colorName(deed.from)} to ${colorName(deed.to)}`;
    case 'paler':
      return deed.bare
        ? `Paler pieces and no pictures on the ${deed.side} page`
        : `Paler pieces for ${deed.count} of the ${deed.side} page`;
    case 'other colors':
      return `Other colors for ${deed.count} of them`;
    case 'trim':
      return `Trim ${mm(voice, deed.mm)} off ${sayThing(deed.thing)}`;
    case 'cut to length':
      return `Cut it ${mm(voice, deed.mm)} long`;
    case 'cut to rows':
      return `Cut it to ${counted(deed.rows, 'row')}`;
    case 'cut':
      return CUT[deed.how];
    case 'line up halves':
      return deed.on === 'line' ? 'Bring the halves in line' : 'Bring the halves on one edge';
    case 'join lists':
      return 'Lay the two parts edge to edge';
    case 'let in':
      return `Let ${quoted(deed.title)} in${LET_IN[deed.how]}${moving(deed.moved)}`;
    case 'let in beside':
      return `Let ${quoted(deed.title)} in on ${dayName(voice, deed.day)} instead${moving(deed.moved)}`;
    case 'to its day':
      return `Let it in on its own day, ${deed.moved} moved for it`;
    case 'write anew':
      return `Write ${quoted(deed.title)} as it is now${moving(deed.moved)}`;
    case 'one list':
      return deed.title === null
        ? `Make ${deed.count} things to do one list`
        : `Make ${quoted(deed.title)} and ${deed.count} more one list`;
    case 'lower bases':
      return `${lowered(deed.count)}, and let ${quoted(deed.title)} in${moving(deed.moved)}`;
    case 'trim the box':
      return `Trim ${mm(voice, deed.mm)} off the full box’s foot, and let ${quoted(deed.title)} in${moving(deed.moved)}`;
    case 'note in sidebar':
      return `Note ${quoted(deed.title)} in the sidebar`;
    case 'send on': {
      const letIn = deed.letIn === null ? '' : ` and let ${quoted(deed.letIn)} in`;
      return `Move ${quoted(deed.title)} to ${deed.nextWeek ? 'next ' : ''}${longDay(deed.to)}${letIn}`;
    }
    case 'close up':
      return sayClosing(deed.gap === null ? null : mm(voice, deed.gap), deed.lowered);
    case 'even out':
      return `Even out ${dayName(voice, deed.day)}’s gaps`;
    case 'stand at hours':
      return `Stand ${dayName(voice, deed.day)}’s items at their hours${STOOD[deed.how]}`;
    case 'write with':
      return `Write with ${deed.ink}`;
    case 'write':
      return deed.only ? `Write only “${deed.text}”` : `Write “${deed.text}”`;
    case 'both': {
      const then = sayDeed(deed.then, voice);
      return `${sayDeed(deed.first, voice)}; ${then.charAt(0).toLowerCase()}${then.slice(1)}`;
    }
    case 'as said':
      return deed.text;
    case 'place':
      return ONE.place(sayDesign(deed.thing));
    default:
      return ONE[deed.do](sayThing(deed.thing));
  }
}

function sayClosing(gap: string | null, count: number | 'all'): string {
  if (count === 'all') return `Lower bases and gaps of ${gap}`;
  if (count) return lowered(count);
  return gap === null ? 'Close the day up' : `Close the day up to gaps of ${gap}`;
}
