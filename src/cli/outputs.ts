import { arrange } from '../core/arrange/arrange';
import { contextFrom } from '../core/spread/context';
import type { Context } from '../core/spread/placement';
import { benchOf } from '../core/bench/bench';
import { completeSpread } from '../core/format/spread-file';
import type { Book } from '../core/book/book';
import { benchPdf } from '../core/format/bench-pdf';
import { readBook, writeBook } from '../core/format/book-json';
import { readCalendar } from '../core/format/calendar';
import { cutsSvg } from '../core/format/cuts-svg';
import { BadInput } from '../core/format/fault';
import { readKit } from '../core/format/kit-csv';
import { readOptions } from '../core/format/options-json';
import { writeSpread } from '../core/format/spread-json';
import { spreadSvg } from '../core/format/spread-svg';
import { demandsOfWeek } from '../core/week/demands';
import { shippedLetters } from '../server/fonts';
import { printParts } from '../server/print-parts';

interface TextFile {
  readonly file: string;
  readonly text: string;
}

export interface Inputs {
  readonly book: TextFile | { readonly shipped: Book };
  readonly kit: TextFile & { readonly name: string };
  readonly stash: readonly (TextFile & { readonly name: string })[];
  readonly agenda: TextFile;
  readonly options: TextFile | null;
  readonly week: string;
  readonly manner: string;
  readonly seed: number;
}

/**
 * All files of the headless command, by name. The same inputs give the same bytes.
 * @param note is told what its user should know of how the inputs were read
 * @throws BadInput with every fault of every file
 */
export async function outputs(
  inputs: Inputs,
  note: (said: string) => void = () => {},
): Promise<Record<string, string | Uint8Array>> {
  const context = contextOf(inputs, note);
  const placements = arrange(context);
  const spread = completeSpread(context, placements);
  return {
    'spread.json': writeSpread(spread),
    'book.json': writeBook(context.printed),
    'spread.svg': spreadSvg(context, placements, spread.whiteOut, shippedLetters()),
    'bench.pdf': await benchPdf(context, benchOf(context, placements, spread.whiteOut), printParts()),
    'cuts.svg': cutsSvg(context, spread.cuts),
  };
}

function contextOf(inputs: Inputs, note: (said: string) => void): Context {
  const faults: BadInput[] = [];
  const attempt = <T>(read: () => T): T | null => {
    try {
      return read();
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      faults.push(error);
      return null;
    }
  };
  const book = attempt(() =>
    'shipped' in inputs.book ? inputs.book.shipped : readBook(inputs.book.text, inputs.book.file),
  );
  const kit = attempt(() => readKit(inputs.kit.text, inputs.kit.file, inputs.kit.name));
  const stash = inputs.stash.map((s) => attempt(() => readKit(s.text, s.file, s.name)));
  const calendar = attempt(() => readCalendar(inputs.agenda.text, inputs.agenda.file));
  calendar?.notes.forEach(note);
  const own = attempt(() =>
    inputs.options ? readOptions(inputs.options.text, inputs.options.file) : { options: {}, ways: {} },
  );
  const names = [inputs.kit.name, ...inputs.stash.map((s) => s.name)];
  const twice = names.find((name, i) => names.indexOf(name) !== i);
  if (twice)
    faults.push(
      new BadInput([
        {
          file: 'command',
          where: '--stash',
          found: `two kits named "${twice}"`,
          expected: 'files whose names differ, since pieces are told apart by kit and code',
        },
      ]),
    );
  if (faults.length || !book || !kit || !calendar || !own) throw new BadInput(faults.flatMap((f) => f.faults));
  return contextFrom({
    book,
    kit,
    stash: stash.flatMap((s) => s ?? []),
    manner: inputs.manner,
    seed: inputs.seed,
    week: demandsOfWeek([calendar], inputs.week, book.weekStart),
    options: own.options,
    ways: own.ways,
    usedElsewhere: [],
  });
}
