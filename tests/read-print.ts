import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** mm */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export interface ReadPage {
  readonly width: number;
  readonly height: number;
  /** each painted path, and what of it is seen within the clips */
  readonly boxes: readonly (Box & { readonly seen: Box })[];
  readonly forms: readonly (Box & { readonly depth: number })[];
  readonly text: string;
}

/**
 * A PDF as pdf.js reads it: an independent reader, in a process of its own since it is a module only.
 * @param most pages that are read
 */
export function readPrint(pdf: Uint8Array, most = Infinity): ReadPage[] {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-print-'));
  try {
    const file = join(folder, 'read.pdf');
    writeFileSync(file, pdf);
    const told = execFileSync(process.execPath, ['tests/read-pdf.mjs', file, String(most)], { maxBuffer: 2 ** 28 });
    return JSON.parse(told.toString()) as ReadPage[];
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The same to a tenth of a millimeter. */
export const near = (a: Box, b: Box): boolean =>
  (['x', 'y', 'w', 'h'] as const).every((k) => Math.abs(a[k] - b[k]) < 0.1);
