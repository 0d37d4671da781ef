/**
 * Throws when tags are not closed in order or a bare `<` or `&` stands in the text; enough to know that SVG is well-
 * formed.
 */
export function checkMarkup(text: string): void {
  const open: string[] = [];
  for (const [, close, name, attributes, self] of text.matchAll(
    /<(\/?)([a-zA-Z][\w-]*)((?:\s+[\w:-]+="[^"<]*")*)\s*(\/?)>/g,
  )) {
    if (/&(?!#?\w+;)/.test(attributes ?? '')) throw new Error(`bare & in ${name}`);
    if (self) continue;
    if (!close) open.push(name as string);
    else if (open.pop() !== name) throw new Error(`</${name}> closes nothing`);
  }
  if (open.length) throw new Error(`<${open.at(-1)}> stays open`);
  const rest = text.replace(/<\/?[a-zA-Z][\w-]*(?:\s+[\w:-]+="[^"<]*")*\s*\/?>/g, '');
  if (/[<>]|&(?!#?\w+;)/.test(rest)) throw new Error(`loose markup: ${rest.slice(0, 60)}`);
}
