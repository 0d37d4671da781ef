import type { IsoDay } from './week';

/** What an edit of the agenda does, as data. Titles and names as their owner wrote them. */
export type AgendaDeed =
  | { readonly do: 'add item' | 'change item' | 'bring over'; readonly title: string }
  | { readonly do: 'take a day out'; readonly title: string; readonly day: IsoDay }
  | { readonly do: 'take item out'; readonly title: string }
  | { readonly do: 'move items'; readonly count: number; readonly to: IsoDay }
  | { readonly do: 'make a list'; readonly list: string }
  | { readonly do: 'tick' | 'let go' | 'untick' | 'keep both' | 'keep routine' }
  | { readonly do: 'write down'; readonly what: string }
  | { readonly do: 'end routine'; readonly title: string }
  | { readonly do: 'add round' | 'change round' | 'take round out'; readonly name: string }
  | { readonly do: 'take in calendar' | 'take in feed' | 'take calendar away'; readonly name: string }
  /** of an older log: how it was said when it was made */
  | { readonly do: 'as said'; readonly text: string };

/** An edit of the agenda in words, for undo and redo. */
export function sayAgendaDeed(deed: AgendaDeed): string {
  switch (deed.do) {
    case 'add item':
      return `Add “${deed.title}”`;
    case 'change item':
      return `Change “${deed.title}”`;
    case 'bring over':
      return `Bring “${deed.title}” over`;
    case 'take a day out':
      return `Take one day of “${deed.title}” out`;
    case 'take item out':
      return `Take “${deed.title}” out`;
    case 'move items':
      return deed.count === 1 ? 'Move an item' : `Move ${deed.count} items`;
    case 'make a list':
      return `Make the list “${deed.list}”`;
    case 'tick':
      return 'Tick an item';
    case 'let go':
      return 'Let an item go';
    case 'untick':
      return 'Take a tick away';
    case 'keep both':
      return 'Keep both';
    case 'keep routine':
      return 'Keep a routine';
    case 'write down':
      return `Write down ${deed.what}`;
    case 'end routine':
      return `End “${deed.title}”`;
    case 'add round':
      return `Add the round “${deed.name}”`;
    case 'change round':
      return `Change the round “${deed.name}”`;
    case 'take round out':
      return `Take the round “${deed.name}” out`;
    case 'take in calendar':
      return `Import the calendar “${deed.name}”`;
    case 'take in feed':
      return `Import the feed “${deed.name}”`;
    case 'take calendar away':
      return `Take the calendar “${deed.name}” away`;
    case 'as said':
      return deed.text;
  }
}
