import { benchOf } from '../../src/core/bench/bench';
import { benchPdf } from '../../src/core/format/bench-pdf';
import { printFonts } from '../../src/server/fonts';
import { demoSpread } from '../../tests/fixtures';
import { say, ms } from './report';

/** The bench sheet as PDF. */
export async function print(): Promise<void> {
  const { context, placements } = demoSpread();
  const started = performance.now();
  await benchPdf(context, benchOf(context, placements), { fonts: printFonts() });
  say('the print (PDF)', '', ms(performance.now() - started));
}
