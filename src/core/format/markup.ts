/** An element of a drawing, as this project writes its SVG. */
export interface Element {
  readonly name: string;
  readonly attributes: ReadonlyMap<string, string>;
  readonly children: readonly (Element | string)[];
}

const TOKEN = /<\/([\w:]+)\s*>|<([\w:]+)((?:\s+[\w:-]+="[^"]*")*)\s*(\/?)>|<[?!][^>]*>|([^<]+)/g;
const ATTRIBUTE = /([\w:-]+)="([^"]*)"/g;

/**
 * The elements of a drawing that this project wrote: attributes in double quotes, entities as numbers. No reader for
 * the markup of others.
 */
export function parseMarkup(markup: string): Element[] {
  const root: { children: (Element | string)[] } = { children: [] };
  const open: { name: string; children: (Element | string)[] }[] = [{ name: '', ...root }];
  for (const [, closed, name, attributes = '', empty, text] of markup.matchAll(TOKEN)) {
    const inner = open.at(-1) as (typeof open)[number];
    if (closed !== undefined) {
      if (open.length > 1) open.pop();
    } else if (name !== undefined) {
      const children: (Element | string)[] = [];
      inner.children.push({
        name,
        attributes: new Map(
          [...attributes.matchAll(ATTRIBUTE)].map(([, key, value]) => [key as string, value as string]),
        ),
        children,
      });
      if (!empty) open.push({ name, children });
    } else if (text !== undefined) inner.children.push(text);
  }
  return (open[0] as (typeof open)[number]).children.filter((c): c is Element => typeof c !== 'string');
}

/** The drawing as text again; what was not touched is as it was. */
export function writeMarkup(elements: readonly (Element | string)[]): string {
  return elements
    .map((e) => {
      if (typeof e === 'string') return e;
      const attributes = [...e.attributes].map(([key, value]) => ` ${key}="${value}"`).join('');
      return e.children.length
        ? `<${e.name}${attributes}>${writeMarkup(e.children)}</${e.name}>`
        : `<${e.name}${attributes}/>`;
    })
    .join('');
}

const ENTITY = /&#(x?)([\da-fA-F]+);|&(amp|lt|gt|quot|apos);/g;
const NAMED = new Map([
  ['amp', '&'],
  ['lt', '<'],
  ['gt', '>'],
  ['quot', '"'],
  ['apos', '’'],
]);

/** Text as it is read. */
export const unescaped = (text: string): string =>
  text.replace(ENTITY, (_, hex: string, number: string, name: string) =>
    name ? (NAMED.get(name) ?? '') : String.fromCodePoint(Number.parseInt(number, hex ? 16 : 10)),
  );
