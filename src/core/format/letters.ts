import fontkit from '@pdf-lib/fontkit';
import { drawable } from './drawable';
import { graphemes } from './graphemes';
import type { Run } from './visual-runs';
import { visualRuns } from './visual-runs';

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
  /** The letters of a text that no face here has, each once: an empty box is drawn for each. */
  readonly lacking: (text: string) => string[];
}

/** The bytes of a TrueType file, read when they are first needed. */
export type FaceFile = () => Uint8Array;

const COMMANDS = new Map<string, PathCommand['do']>([
  ['moveTo', 'M'],
  ['lineTo', 'L'],
  ['quadraticCurveTo', 'Q'],
  ['bezierCurveTo', 'C'],
  ['closePath', 'Z'],
]);
const MOST_KNOWN = 4000;
const ASCII = /^[ -~]*$/;
/** What has no shape of its own: joiners, and what chooses between two shapes of a letter. */
const SHAPELESS = /[\s\u200b-\u200f\u2060\ufe0e\ufe0f]/u;
const MARK = /\p{M}/u;

/**
 * Lettering of some fonts.
 * @param families the faces of each by its name; the first is asked first
 * @param others stand in for a letter that none of a family's faces has
 */
export function lettersOf(families: ReadonlyMap<string, readonly FaceFile[]>, others: readonly FaceFile[]): Letters {
  const opened = new Map<FaceFile, Font>();
  const known = new Map<string, Outlined>();
  const fontOf = (file: FaceFile): Font => {
    const font = opened.get(file) ?? (fontkit.create(file()) as unknown as Font);
    opened.set(file, font);
    return font;
  };
  const facesOf = (family: string): readonly FaceFile[] => {
    const names = [...family.split(',').map((n) => n.trim()), ...families.keys()];
    return [...(families.get(names.find((n) => families.has(n)) ?? '') ?? []), ...others];
  };
  /** the face that has a letter with its marks, or at least without them */
  const faceOf = (letter: string, faces: readonly FaceFile[]): Font | null => {
    if (ASCII.test(letter)) return fontOf(faces[0] as FaceFile);
    const all = [...letter].filter((c) => !SHAPELESS.test(c));
    const has = (wanted: readonly string[]) =>
      faces.find((f) => wanted.every((c) => fontOf(f).hasGlyphForCodePoint(c.codePointAt(0) as number)));
    const found = has(all) ?? has(all.filter((c) => !MARK.test(c)));
    return found ? fontOf(found) : null;
  };
  return {
    outline: (text, family) => {
      const key = `${family}\n${text}`;
      const faces = facesOf(family);
      const made = known.get(key) ?? drawn(visualRuns(text.normalize('NFC'), (letter) => faceOf(letter, faces)));
      if (known.size < MOST_KNOWN) known.set(key, made);
      return made;
    },
    lacking: (text) =>
      ASCII.test(text)
        ? []
        : [...new Set(graphemes(text.normalize('NFC')).filter((letter) => !faceOf(letter, facesOf(''))))],
  };
}

/** What is used of an opened font. */
interface Font {
  readonly unitsPerEm: number;
  readonly hasGlyphForCodePoint: (code: number) => boolean;
  readonly layout: (
    text: string,
    features: undefined,
    script: undefined,
    language: undefined,
    direction: 'ltr' | 'rtl',
  ) => {
    readonly glyphs: readonly {
      readonly path: { readonly commands: readonly { readonly command: string; readonly args: readonly number[] }[] };
    }[];
    readonly positions: readonly { readonly xAdvance: number; readonly xOffset: number; readonly yOffset: number }[];
  };
}

function drawn(runs: readonly Run<Font | null>[]): Outlined {
  const path: PathCommand[] = [];
  let x = 0;
  for (const { text, face, level } of runs) {
    const part = face ? glyphsOf(text, face, level % 2 ? 'rtl' : 'ltr') : boxes(graphemes(text).length);
    for (const c of part.path) path.push({ do: c.do, args: c.args.map((n, k) => (k % 2 ? n : n + x)) });
    x += part.width;
  }
  return { path, width: x };
}

function glyphsOf(text: string, font: Font, direction: 'ltr' | 'rtl'): Outlined {
  const { outlines, positions } = drawable(text, (part) => {
    const line = font.layout(part, undefined, undefined, undefined, direction);
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

/** An empty box for each letter that nothing here can draw: never another letter in its place. */
function boxes(count: number): Outlined {
  const [wide, high, weight] = [0.5, 0.6, 0.04];
  const frame = (x: number, inset: number): PathCommand[] => {
    const [left, right, top, foot] = [x + 0.05 + inset, x + wide - 0.05 - inset, inset - high, -inset];
    const down = [left, top, left, foot, right, foot, right, top];
    const corners = inset ? [0, 3, 2, 1] : [0, 1, 2, 3]; // the hole runs the other way round
    return [
      ...corners.map((n, i): PathCommand => ({ do: i ? 'L' : 'M', args: down.slice(2 * n, 2 * n + 2) })),
      { do: 'Z', args: [] },
    ];
  };
  return {
    path: Array.from({ length: count }, (_, i) => [...frame(i * wide, 0), ...frame(i * wide, weight)]).flat(),
    width: count * wide,
  };
}
