import { book } from './book';
import { calendar } from './calendar';
import type { Format } from './format';

/** Files that can be taken in as they are; kits are looked over in a table first. One line a format. */
export const FORMATS: readonly Format[] = [calendar, book];
