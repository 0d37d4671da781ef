import { num } from '../art/svg';
import type { Letters, PathCommand } from './letters';
import type { Element } from './markup';
import { parseMarkup, unescaped, writeMarkup } from './markup';

/** Attributes of a text that its surroundings may give it. */
const INHERITED = ['font-family', 'font-size', 'text-anchor', 'fill'] as const;
/** Attributes that only a text has. */
const OF_TEXT = new Set([
  'x', 'y', 'font-family', 'font-size', 'font-weight', 'text-anchor', 'textLength', 'lengthAdjust',
]); // prettier-ignore

/** What a group gives to its texts, and nothing else. */
const OF_FONT = new Set(['font-family', 'font-size', 'font-weight', 'text-anchor']);

type Inherited = ReadonlyMap<string, string>;

/** A drawing whose lettering is outlines: a viewer that ignores fonts shows it as it is meant. */
export function lettersAsPaths(svg: string, letters: Letters): string {
  const head = /^<\?xml[^>]*>\s*/.exec(svg)?.[0] ?? '';
  return `${head}${writeMarkup(parseMarkup(svg).map((e) => outlined(e, new Map(), letters)))}`;
}

function outlined(element: Element, around: Inherited, letters: Letters): Element {
  const given = inheritedBy(element, around);
  if (element.name === 'text') return asPath(element, given, letters);
  if (!element.children.length) return element;
  return {
    ...element,
    attributes: new Map([...element.attributes].filter(([name]) => !OF_FONT.has(name))),
    children: element.children.map((c) => (typeof c === 'string' ? c : outlined(c, given, letters))),
  };
}

export function inheritedBy({ attributes }: Element, around: Inherited): Inherited {
  const own = INHERITED.filter((name) => attributes.has(name));
  return own.length ? new Map([...around, ...own.map((n) => [n, attributes.get(n) as string] as const)]) : around;
}

/** The outlines of a text's letters at its place, its size and, where it is squeezed, its width. */
export function placedOutlines(text: Element, given: Inherited, letters: Letters): PathCommand[] {
  const words = unescaped(text.children.filter((c) => typeof c === 'string').join(''));
  const { path, width } = letters.outline(words, given.get('font-family') ?? '');
  const size = Number(given.get('font-size') ?? 1);
  const wanted = Number(text.attributes.get('textLength') ?? 0);
  const squeeze = wanted > 0 && width > 0 ? wanted / (width * size) : 1;
  const across = size * squeeze;
  const anchor = given.get('text-anchor');
  const start =
    Number(text.attributes.get('x') ?? 0) - width * across * (anchor === 'middle' ? 0.5 : anchor === 'end' ? 1 : 0);
  const base = Number(text.attributes.get('y') ?? 0);
  return path.map((c) => ({ do: c.do, args: c.args.map((n, i) => (i % 2 ? base + n * size : start + n * across)) }));
}

/** A text as the path of its letters. */
function asPath(text: Element, given: Inherited, letters: Letters): Element {
  const d = placedOutlines(text, given, letters)
    .map((c) => `${c.do}${c.args.map(num).join(' ')}`)
    .join('');
  const kept = [...text.attributes].filter(([name]) => !OF_TEXT.has(name));
  const fill =
    text.attributes.has('fill') || !given.has('fill') ? [] : [['fill', given.get('fill') as string] as const];
  return { name: 'path', attributes: new Map([['d', d], ...fill, ...kept]), children: [] };
}
