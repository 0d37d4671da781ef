import { BadInput } from '../core/format/fault';
import { cutFile } from '../core/format/made-cut';
import { layOutMade } from '../core/make/lay-out';
import { madeKit } from '../core/make/made-kit';
import { check } from './dto/check';
import { MadeDto } from './dto/made.dto';
import { heavily } from './heavy/heavily';

/** Where the household's cutter answers; null: there is none. */
export const cutterAddress = (): string | null => process.env.HOBNAIL_CUTTER ?? null;

const PATIENCE_MS = 30_000;

/** The print page of what is to be made. */
export async function madePrint(input: unknown): Promise<Response> {
  const { kit, sheets, size } = laidOut(input);
  const pdf = await heavily('made', { kit, sheets, size });
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'attachment; filename="made.pdf"' },
  });
}

/** The cut file of one of its sheets. */
export function madeCut(input: unknown): Response {
  return new Response(cutOf(input), {
    headers: { 'content-type': 'image/svg+xml', 'content-disposition': 'attachment; filename="made.cut.svg"' },
  });
}

/** What a cutter answered: it was cut, or why not. */
export interface CutAnswer {
  readonly done: boolean;
  readonly said: string;
  readonly faults: readonly { readonly what: string; readonly x: number; readonly y: number }[];
  readonly length: number;
  readonly minutes: number;
}

/** Has the cutter cut a sheet. */
export async function cutNow(input: unknown, signal: AbortSignal): Promise<CutAnswer> {
  const svg = cutOf(input);
  const none = { done: false, faults: [], length: 0, minutes: 0 };
  const address = cutterAddress();
  if (!address) return { ...none, said: 'There is no cutter here: save the cut file and take it to yours.' };
  const answer = await fetch(`${address}/cut`, {
    method: 'POST',
    body: svg,
    redirect: 'error',
    signal: AbortSignal.any([signal, AbortSignal.timeout(PATIENCE_MS)]),
  }).catch(() => null);
  const told = (await answer?.json().catch(() => null)) as Partial<CutAnswer> | null | undefined;
  if (!answer || !told) return { ...none, said: 'The cutter does not answer: look whether it is on.' };
  return {
    done: answer.ok,
    said: typeof told.said === 'string' ? told.said.slice(0, 200) : 'it said nothing',
    faults: Array.isArray(told.faults) ? told.faults.slice(0, 50) : [],
    length: Number(told.length) || 0,
    minutes: Number(told.minutes) || 0,
  };
}

function cutOf(input: unknown): string {
  const { sheets, sheet } = laidOut(input);
  const wanted = sheets[sheet];
  if (!wanted)
    throw new BadInput([
      { file: 'made', where: 'sheet', found: String(sheet + 1), expected: `one of ${sheets.length} sheets` },
    ]);
  return cutFile(wanted);
}

function laidOut(input: unknown) {
  const { name, lines, size, sheet } = check(MadeDto, input, 'made');
  const kit = madeKit(name, lines);
  const { sheets, tooWide } = layOutMade(kit, size);
  if (tooWide.length)
    throw new BadInput(
      tooWide.map((p) => ({
        file: 'made',
        where: p.code,
        found: `${p.width} × ${p.height} mm`,
        expected: `no larger than the paper between its marks (${size})`,
      })),
    );
  return { kit, sheets, size, sheet };
}
