import type { Bench } from '../bench/bench';
import type { Context } from '../spread/placement';
import { printCover } from './print/cover';
import { printCutting } from './print/cutting';
import { printMaps, printTracing } from './print/maps';
import type { PrintParts } from './print/sheet-of-work';
import { beginPrint } from './print/sheet-of-work';
import { printSteps } from './print/steps';
import { printStrips } from './print/strips';
import { printTexts } from './print/texts';

/**
 * The bench sheet for printing at 100 %: the week at a glance, each page in true size with the numbers of the steps, a
 * page to trace from, the sheets with their cuts, the strips off the rolls, the steps to tick, the texts to write.
 * Stickers are vectors, or the pictures they were scanned with, each kept once. The same spread gives the same bytes.
 */
export async function benchPdf(context: Context, bench: Bench, parts: PrintParts): Promise<Uint8Array> {
  const { document, printing, title } = await beginPrint(context, bench, parts);
  printCover(printing, title);
  if (bench.steps.length) {
    printMaps(printing);
    printTracing(printing);
    printCutting(printing);
    printStrips(printing);
    printSteps(printing);
    printTexts(printing);
  }
  return document.save();
}
