import fontkit from '@pdf-lib/fontkit';
import { drawable } from './drawable';

/** A line of lettering as the outlines of its glyphs. */
export interface Outlined {
  /** a path from the line's start on its baseline, y downwards, at a size of 1 */
  readonly path: readonly PathCommand[];
  /** how far it runs, at a size of 1 */
  readonly width: number;
}

export interface PathCommand {
  readonly do: 'M' | 'L' | 'Q' | 'C' | 'Z';
  readonly args: readonly number[];
}

/** Draws lettering as outlines, so that every viewer shows the same. */
export interface Letters {
  /** @param family the first of its names that is known is taken; the first known one where none is */
  readonly outline: (text: string, family: string) => Outlined;
}

const COMMANDS = new Map<string, PathCommand['do']>([
  ['moveTo', 'M'],
  ['lineTo', 'L'],
  ['quadraticCurveTo', 'Q'],
  ['bezierCurveTo', 'C'],
  ['closePath', 'Z'],
]);
const MOST_KNOWN = 4000;

/**
 * Lettering of some fonts.
 * @param fonts TrueType files by the name of their family
 */
export function lettersOf(fonts: ReadonlyMap<string, Uint8Array>): Letters {
  const opened = new Map<string, Font>();
  const known = new Map<string, Outlined>();
  const fontOf = (family: string): Font => {
    const names = [...family.split(',').map((n) => n.trim()), ...fonts.keys()];
    const name = names.find((n) => fonts.has(n)) ?? '';
    const font = opened.get(name) ?? (fontkit.create(fonts.get(name) as Uint8Array) as unknown as Font);
    opened.set(name, font);
    return font;
  };
  return {
    outline: (text, family) => {
      const key = `${family}\n${text}`;
      const made = known.get(key) ?? drawn(fontOf(family), text);
      if (known.size < MOST_KNOWN) known.set(key, made);
      return made;
    },
  };
}

/** What is used of an opened font. */
interface Font {
  readonly unitsPerEm: number;
  readonly hasGlyphForCodePoint: (code: number) => boolean;
  readonly layout: (text: string) => {
    readonly glyphs: readonly {
      readonly path: { readonly commands: readonly { readonly command: string; readonly args: readonly number[] }[] };
    }[];
    readonly positions: readonly { readonly xAdvance: number; readonly xOffset: number; readonly yOffset: number }[];
  };
}

function drawn(font: Font, text: string): Outlined {
  const composed = text.normalize('NFC');
  const readable = [...composed].map((c) => (font.hasGlyphForCodePoint(c.codePointAt(0) as number) ? c : '?')).join('');
  const { outlines, positions } = drawable(readable, (part) => {
    const line = font.layout(part);
    return { outlines: line.glyphs.map((g) => g.path.commands), positions: line.positions };
  }).drawn;
  const em = font.unitsPerEm;
  const path: PathCommand[] = [];
  let x = 0;
  outlines.forEach((commands, i) => {
    const { xAdvance, xOffset, yOffset } = positions[i] as (typeof positions)[number];
    for (const { command, args } of commands) {
      const name = COMMANDS.get(command);
      if (!name) continue;
      path.push({
        do: name,
        args: args.map((n, k) => (k % 2 ? -(n + yOffset) / em : (n + x + xOffset) / em)),
      });
    }
    x += xAdvance;
  });
  return { path, width: x / em };
}
