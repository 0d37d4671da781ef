import type { Hex } from '../color/color';
import type { IsoDay } from '../week/week';
import type { Thing } from './thing';

/**
 * What an edit of a spread does, as data: undo, learning and peels go by it, and `say-deed.ts` puts it into words.
 * Lengths in mm; days 0-6; titles as the agenda has them.
 */
export type Deed =
  | { readonly do: 'arrange'; readonly what: 'week' | 'rest' | 'anew' | 'open' | 'open without it' }
  | { readonly do: 'arrange day'; readonly day: number }
  | { readonly do: 'lay out'; readonly from: 'one' | 'several' }
  | { readonly do: 'lift all' }
  | { readonly do: OneThing; readonly thing: Thing }
  | { readonly do: 'move'; readonly thing: Thing; readonly mm?: number; readonly to?: 'common edge' | 'middle' }
  | { readonly do: 'swap'; readonly thing: Thing; readonly by: Thing; readonly soonOver?: true }
  | { readonly do: 'serve'; readonly thing: Thing; readonly title: string }
  | { readonly do: 'make room'; readonly moved: number }
  | { readonly do: 'together'; readonly what: Together; readonly count: number }
  | { readonly do: 'copy to'; readonly thing: Thing; readonly day: number }
  | { readonly do: 'replace all'; readonly code: string; readonly looks?: string }
  | { readonly do: 'change places'; readonly things: readonly Thing[] }
  | { readonly do: 'recolor'; readonly from: Hex; readonly to: Hex }
  | { readonly do: 'paler'; readonly count: number; readonly side: 'left' | 'right'; readonly bare: boolean }
  | { readonly do: 'other colors'; readonly count: number }
  | { readonly do: 'trim'; readonly thing: Thing; readonly mm: number }
  | { readonly do: 'cut to length'; readonly mm: number }
  | { readonly do: 'cut to rows'; readonly rows: number }
  | { readonly do: 'cut'; readonly how: 'from the offcut' | 'from the leftover' | 'without shapes' }
  | { readonly do: 'line up halves'; readonly on: 'line' | 'edge' }
  | { readonly do: 'join lists' }
  | { readonly do: 'let in'; readonly title: string; readonly moved: number; readonly how: HowLetIn }
  | { readonly do: 'let in beside'; readonly title: string; readonly moved: number; readonly day: number }
  | { readonly do: 'to its day'; readonly moved: number }
  | { readonly do: 'write anew'; readonly title: string; readonly moved: number }
  | { readonly do: 'one list'; readonly count: number; readonly title: string | null }
  | { readonly do: 'lower bases'; readonly count: number; readonly title: string; readonly moved: number }
  | { readonly do: 'trim the box'; readonly mm: number; readonly title: string; readonly moved: number }
  | { readonly do: 'note in sidebar'; readonly title: string }
  | {
      readonly do: 'send on';
      readonly title: string;
      readonly to: IsoDay;
      readonly nextWeek: boolean;
      readonly letIn: string | null;
    }
  | { readonly do: 'close up'; readonly gap: number | null; readonly lowered: number | 'all' }
  | { readonly do: 'even out'; readonly day: number }
  | { readonly do: 'stand at hours'; readonly day: number; readonly how: HowStood }
  | { readonly do: 'write with'; readonly ink: string }
  | { readonly do: 'write'; readonly text: string; readonly only?: true }
  | { readonly do: 'both'; readonly first: Deed; readonly then: Deed }
  /** of an older log: how it was said when it was made */
  | { readonly do: 'as said'; readonly text: string };

/** Deeds that are done to one sticker and need no more than it to be said. */
export const ONE_THING = [
  'place',
  'turn',
  'turn around',
  'lock',
  'unlock',
  'write on',
  'take off',
  'stick down',
  'not stuck',
  'replace spoiled',
  'take another',
  'lay after',
  'lay first',
  'keep as a memory',
  'keep for later',
  'leave as stuck',
] as const;
export type OneThing = (typeof ONE_THING)[number];

export type HowLetIn = 'as it is' | 'for a picture' | 'for the box';
export type HowStood = 'as it is' | 'on lower bases' | 'without pictures' | 'without box';

/** What is done to several at once. */
export type Together = 'move' | 'take off' | 'lock' | 'unlock';
