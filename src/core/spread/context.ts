import type { Book } from '../book/book';
import type { Kit } from '../kit/kit';
import { fitBook } from '../manner/fit-book';
import type { Options } from '../manner/options/registry';
import { mannerNamed } from '../manner/registry';
import type { Ways } from '../manner/ways/registry';
import type { WeekDemands } from '../week/demand';
import type { Context } from './placement';
import { withHabits } from './placement';

/** What a context is made of, as plain data that can be sent from a server to a browser or a worker. */
export interface ContextData {
  readonly book: Book;
  readonly kit: Kit;
  readonly stash: readonly Kit[];
  readonly week: WeekDemands;
  readonly manner: string;
  readonly options: Partial<Options>;
  /** where the spread's ways differ from its school's */
  readonly ways?: Partial<Ways>;
  /** pieces their owner likes best, as `kit/code` */
  readonly favorites?: readonly string[];
  /** what was learned of their taste, by `kit/code`: over nothing liked, under nothing not */
  readonly likes?: Readonly<Record<string, number>>;
  readonly peeled?: Context['peeled'];
  readonly useBy?: Context['useBy'];
  readonly ticked?: Context['ticked'];
  readonly seed: number;
  readonly boxesBefore?: Context['boxesBefore'];
  readonly usedElsewhere: Context['usedElsewhere'];
}

/**
 * A context from what is kept of a spread: its school looked up, its book fitted to it. Lengths in mm.
 * @throws RangeError when no manner of that name ships
 * @example contextFrom({ ...data, manner: 'airy' }).options.whiteSpace
 */
export function contextFrom(data: ContextData): Context {
  const manner = mannerNamed(data.manner);
  if (!manner) throw new RangeError(`no manner is called ${data.manner}`);
  const options = withHabits(manner, data.options);
  const ways = { ...manner.ways, ...data.ways };
  return {
    ...data,
    manner,
    options,
    ways,
    book: fitBook(data.book, ways, options),
    printed: data.book,
    favorites: new Set(data.favorites),
    likes: data.likes ?? {},
    peeled: data.peeled ?? {},
    useBy: data.useBy ?? {},
    ticked: data.ticked ?? [],
    boxesBefore: data.boxesBefore ?? [],
  };
}
