import type { WeekName } from '../week/week';
import { spokenName } from './kit';
import { saidWhere } from './planned';
import type { StockEvent } from './stock';

/** What an edit of kits, stock, plans, orders or supplies does, as data. */
export type KitDeed =
  | { readonly do: 'change card'; readonly kit: string }
  | {
      readonly do: 'correct kit';
      readonly kit: string;
      /** lines that came, changed, went */
      readonly added: number;
      readonly changed: number;
      readonly removed: number;
    }
  | { readonly do: 'add kit' | 'remove kit'; readonly kit: string }
  | { readonly do: 'another copy'; readonly kit: string; readonly as: string }
  | { readonly do: 'split off'; readonly kit: string; readonly into: string; readonly stickers: number }
  | { readonly do: 'recount'; readonly kit: string; readonly stickers: number }
  | { readonly do: 'add washi'; readonly code: string; readonly mm: number }
  | { readonly do: 'left over'; readonly code: string; readonly mm: number }
  | { readonly do: 'use again'; readonly code: string }
  | { readonly do: 'like best' | 'like no more'; readonly code: string }
  | { readonly do: 'stock'; readonly what: StockEvent['what']; readonly code: string; readonly reason: string }
  | { readonly do: 'plan kit'; readonly kit: string | null; readonly week: WeekName }
  | { readonly do: 'order'; readonly what: string }
  | { readonly do: 'read orders'; readonly file: string }
  | { readonly do: 'drop order' | 'drop supply' }
  | {
      readonly do: 'supply';
      readonly name: string;
      readonly amount: number;
      readonly unit: string;
      readonly reason: string;
    }
  /** of an older log: how it was said when it was made */
  | { readonly do: 'as said'; readonly text: string };

/** An edit of the kits in words, for undo and redo. @param called how a kit is called */
export function sayKitDeed(deed: KitDeed, called: (kit: string) => string = spokenName): string {
  switch (deed.do) {
    case 'change card':
      return `Change the card of ${called(deed.kit)}`;
    case 'correct kit': {
      const said = [
        [deed.added, 'added'],
        [deed.changed, 'changed'],
        [deed.removed, 'removed'],
      ].flatMap(([n, what]) => (n ? [`${n} ${what}`] : []));
      return `Correct ${called(deed.kit)}: ${said.join(', ')}`;
    }
    case 'add kit':
      return `Add ${called(deed.kit)}`;
    case 'remove kit':
      return `Remove ${called(deed.kit)}`;
    case 'another copy':
      return `Add another copy of ${called(deed.kit)}`;
    case 'split off':
      return `Move ${deed.stickers} from ${called(deed.kit)} to ${called(deed.into)}`;
    case 'recount':
      return `Recount ${called(deed.kit)}`;
    case 'add washi':
      return `Add ${deed.code}, ${Math.round(deed.mm)} mm of washi`;
    case 'left over':
      return `${deed.code}: ${Math.round(deed.mm)} mm left`;
    case 'use again':
      return `Use ${deed.code} again`;
    case 'like best':
      return `Like ${deed.code} best`;
    case 'like no more':
      return `Like ${deed.code} no more than others`;
    case 'stock':
      return `${deed.code} ${deed.what}: ${deed.reason}`;
    case 'plan kit':
      return `Plan ${deed.kit === null ? 'no kit' : called(deed.kit)} for ${saidWhere(deed.week)}`;
    case 'order':
      return `Order ${deed.what}`;
    case 'read orders':
      return `Read ${deed.file}`;
    case 'drop order':
      return 'Take an order off the list';
    case 'drop supply':
      return 'Take a supply off';
    case 'supply':
      return `${deed.name}, ${deed.amount} ${deed.unit}: ${deed.reason}`;
    case 'as said':
      return deed.text;
  }
}
