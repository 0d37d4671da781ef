import { strToU8, zlibSync } from 'fflate';
import type { PDFDocument, PDFRef } from 'pdf-lib';
import svgpath from 'svgpath';
import type { Letters, PathCommand } from '../letters';
import type { Element } from '../markup';
import { parseMarkup } from '../markup';
import { inheritedBy, placedOutlines } from '../text-as-path';
import { dashes, operator } from './operators';

/** Packs the content of a form as zlib does; a server has a faster way than the core. */
export type Pack = (bytes: Uint8Array) => Uint8Array;

/** The embedded pictures of scanned stickers, by their address in a drawing. */
export type Pictures = ReadonlyMap<string, PDFRef>;

/**
 * Drawings of this project as vectors of a PDF: each is a form of its own, kept once however often it is shown, drawn
 * in its own mm with y downwards. It knows what our drawings are made of: paths, boxes, circles, groups, clips, nested
 * drawings, lettering, pictures. Source: ISO 32000-1, 8.4, 8.5, 8.10 and 11.6.6.
 */
export class SvgForms {
  private readonly made = new Map<string, PDFRef>();
  private readonly states = new Map<string, PDFRef>();
  private readonly things = new Map<string, PDFRef>();
  private readonly shapes = new Map<string, string>();

  constructor(
    private readonly document: PDFDocument,
    private readonly letters: Letters,
    private readonly pictures: Pictures,
    private readonly pack: Pack = zlibSync,
  ) {}

  /**
   * A drawing as a form.
   * @param x,y,w,h what of it is seen, mm
   */
  form(svg: string, { x, y, w, h }: { x: number; y: number; w: number; h: number }): PDFRef {
    const key = `${x} ${y} ${w} ${h} ${svg}`;
    const known = this.made.get(key);
    if (known) return known;
    const elements = parseMarkup(svg);
    const made = this.register(new Content(this, elements).of(elements), [x, y, x + w, y + h], false);
    this.made.set(key, made);
    return made;
  }

  /** Operators of a content as a form; as one thing that is seen through as a whole, where it is `grouped`. */
  register({ operators, states, objects }: Drawn, box: readonly number[], grouped: boolean): PDFRef {
    const { context } = this.document;
    const named = (refs: ReadonlyMap<string, PDFRef>) =>
      Object.fromEntries([...refs].map(([name, ref]) => [name, ref]));
    return context.register(
      context.stream(this.pack(strToU8(operators.join('\n'))), {
        Type: 'XObject',
        Subtype: 'Form',
        Filter: 'FlateDecode',
        BBox: [...box],
        Resources: { ExtGState: named(states), XObject: named(objects) },
        ...(grouped ? { Group: { Type: 'Group', S: 'Transparency' } } : {}),
      }),
    );
  }

  /** A state in which fills and strokes are seen through. */
  state(fillAlpha: number, strokeAlpha: number): PDFRef {
    const key = `${fillAlpha} ${strokeAlpha}`;
    const { context } = this.document;
    const ref =
      this.states.get(key) ?? context.register(context.obj({ Type: 'ExtGState', ca: fillAlpha, CA: strokeAlpha }));
    this.states.set(key, ref);
    return ref;
  }

  /** Lets drawings show a form by `<use href="#name"/>`. */
  name(name: string, form: PDFRef): void {
    this.things.set(name, form);
  }

  named(name: string): PDFRef | undefined {
    return this.things.get(name);
  }

  picture(href: string): PDFRef | undefined {
    return this.pictures.get(href);
  }

  /** The operators of a text's letters. */
  lettering(text: Element, given: ReadonlyMap<string, string>): string {
    return operatorsOf(placedOutlines(text, given, this.letters));
  }

  /** The operators of a path; those of a shape that comes again are known. */
  shape(d: string): string {
    const made = this.shapes.get(d) ?? operatorsOf(commandsOf(d));
    this.shapes.set(d, made);
    return made;
  }
}

interface Drawn {
  readonly operators: readonly string[];
  readonly states: ReadonlyMap<string, PDFRef>;
  readonly objects: ReadonlyMap<string, PDFRef>;
}

type Given = ReadonlyMap<string, string>;
const PAINT = ['fill', 'stroke', 'stroke-width', 'fill-opacity', 'stroke-opacity', 'stroke-linecap', 'stroke-linejoin', 'stroke-dasharray'] as const; // prettier-ignore
const HUGE = 100_000;
/** Ends and corners of lines (ISO 32000-1, tables 54 and 55). */
const [SHARP, ROUND] = [0, 1];

/** One form's operators, with the states and things that they name. */
class Content {
  private readonly operators: string[] = [];
  private readonly states = new Map<string, PDFRef>();
  private readonly objects = new Map<string, PDFRef>();
  private readonly ids = new Map<string, Element>();

  constructor(
    private readonly forms: SvgForms,
    elements: readonly (Element | string)[],
  ) {
    const note = (e: Element | string): void => {
      if (typeof e === 'string') return;
      const id = e.attributes.get('id');
      if (id !== undefined) this.ids.set(id, e);
      e.children.forEach(note);
    };
    elements.forEach(note);
  }

  of(elements: readonly (Element | string)[], given: Given = new Map()): Drawn {
    for (const e of elements) if (typeof e !== 'string') this.draw(e, given);
    return { operators: this.operators, states: this.states, objects: this.objects };
  }

  private draw(element: Element, around: Given): void {
    const { name, attributes, children } = element;
    if (['clipPath', 'defs', 'title', 'style', 'desc'].includes(name)) return;
    const own = PAINT.filter((p) => attributes.has(p)).map((p) => [p, attributes.get(p) as string] as const);
    const given: Given = new Map([...inheritedBy(element, around), ...own]);
    const opacity = Number(attributes.get('opacity') ?? 1);
    const clipped = /^url\(#(.+)\)$/.exec(attributes.get('clip-path') ?? '')?.[1];
    this.operators.push(operator('save'));
    const transform = attributes.get('transform');
    if (transform) this.operators.push(matrix(transform));
    if (clipped) this.clipTo(this.ids.get(clipped));
    if (opacity < 1) {
      const inner = new Content(this.forms, []);
      for (const [id, e] of this.ids) inner.ids.set(id, e);
      const bare = new Map([...attributes].filter(([key]) => !['opacity', 'transform', 'clip-path'].includes(key)));
      const whole = inner.of([{ ...element, attributes: bare }], around);
      this.see(opacity, opacity);
      this.show(this.forms.register(whole, [-HUGE, -HUGE, HUGE, HUGE], true));
    } else if (name === 'text') this.paint(this.forms.lettering(element, given), attributes, given);
    else if (name === 'image') this.image(attributes);
    else if (name === 'use') {
      const id = (attributes.get('href') ?? '').slice(1);
      const [used, form] = [this.ids.get(id), this.forms.named(id)];
      if (used) this.draw(used, given);
      else if (form) this.show(form);
    } else if (name === 'svg') this.nested(element, given);
    else if (name === 'g') {
      for (const c of children) if (typeof c !== 'string') this.draw(c, given);
    } else this.path(element, given);
    this.operators.push(operator('restore'));
  }

  /** A drawing within the drawing: at its place, at its scale, and cut at its frame. */
  private nested({ attributes, children }: Element, given: Given): void {
    const at = (key: string): number => Number.parseFloat(attributes.get(key) ?? '0') || 0;
    const [vx, vy, vw, vh] = (attributes.get('viewBox') ?? '').split(/[\s,]+/).map(Number);
    const [w, h] = [at('width'), at('height')];
    this.operators.push(operator('matrix', 1, 0, 0, 1, at('x'), at('y')));
    if (w && h && attributes.get('overflow') !== 'visible')
      this.operators.push(this.forms.shape(boxPath(0, 0, w, h, 0)), operator('clip'), operator('end'));
    if (w && h && vw && vh) {
      this.operators.push(operator('matrix', w / vw, 0, 0, h / vh, 0, 0));
      this.operators.push(operator('matrix', 1, 0, 0, 1, -(vx ?? 0), -(vy ?? 0)));
    }
    for (const c of children) if (typeof c !== 'string') this.draw(c, given);
  }

  private image(attributes: ReadonlyMap<string, string>): void {
    const ref = this.forms.picture(attributes.get('href') ?? '');
    if (!ref) return;
    const at = (key: string): number => Number(attributes.get(key) ?? 0);
    // a picture is a square of side 1 whose y goes upwards
    this.operators.push(operator('matrix', at('width'), 0, 0, -at('height'), at('x'), at('y') + at('height')));
    this.show(ref);
  }

  private path(element: Element, given: Given): void {
    const d = pathOf(element);
    if (d) this.paint(this.forms.shape(d), element.attributes, given);
  }

  private paint(outline: string, attributes: ReadonlyMap<string, string>, given: Given): void {
    if (!outline) return;
    const [inside, line] = [colorOf(given.get('fill') ?? '#000000'), colorOf(given.get('stroke') ?? 'none')];
    if (!inside && !line) return;
    const alpha = (key: string): number => Number(given.get(key) ?? 1);
    const [fillAlpha, lineAlpha] = [alpha('fill-opacity'), alpha('stroke-opacity')];
    if (fillAlpha < 1 || lineAlpha < 1) this.see(fillAlpha, lineAlpha);
    if (inside) this.operators.push(operator('inside', ...inside));
    if (line) {
      this.operators.push(
        operator('rim', ...line),
        operator('weight', Number(given.get('stroke-width') ?? 1)),
        operator('cap', given.get('stroke-linecap') === 'round' ? ROUND : SHARP),
        operator('join', given.get('stroke-linejoin') === 'round' ? ROUND : SHARP),
      );
      const lengths = (given.get('stroke-dasharray') ?? '')
        .split(/[\s,]+/)
        .map(Number)
        .filter((n) => n > 0);
      if (lengths.length) this.operators.push(dashes(lengths));
    }
    // the rim of a lettering lies under it
    if (inside && line && attributes.get('paint-order') === 'stroke')
      this.operators.push(outline, operator('stroke'), outline, operator('fill'));
    else this.operators.push(outline, operator(inside && line ? 'both' : inside ? 'fill' : 'stroke'));
  }

  private clipTo(shape: Element | undefined): void {
    const paths = (shape?.children ?? []).flatMap((c) => (typeof c === 'string' ? [] : pathOf(c)));
    if (paths.length) this.operators.push(this.forms.shape(paths.join('')), operator('clip'), operator('end'));
  }

  private see(fillAlpha: number, strokeAlpha: number): void {
    const name = `S${Math.round(fillAlpha * 1000)}-${Math.round(strokeAlpha * 1000)}`;
    this.states.set(name, this.forms.state(fillAlpha, strokeAlpha));
    this.operators.push(operator('state', name));
  }

  private show(ref: PDFRef): void {
    const name = `X${ref.objectNumber}`;
    this.objects.set(name, ref);
    this.operators.push(operator('show', name));
  }
}

/** A path as lines and curves from point to point. */
function commandsOf(d: string): PathCommand[] {
  const commands: PathCommand[] = [];
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const [name, ...args] = segment as ['M' | 'L' | 'H' | 'V' | 'C' | 'Q' | 'Z', ...number[]];
      const [only = 0] = args;
      if (name === 'H') commands.push({ do: 'L', args: [only, y] });
      else if (name === 'V') commands.push({ do: 'L', args: [x, only] });
      else commands.push({ do: name, args });
    });
  return commands;
}

function operatorsOf(commands: readonly PathCommand[]): string {
  let [x, y] = [0, 0];
  const made: string[] = [];
  for (const { do: name, args } of commands) {
    const [a = 0, b = 0, c = 0, e = 0] = args;
    if (name === 'M') made.push(operator('move', a, b));
    else if (name === 'L') made.push(operator('line', a, b));
    else if (name === 'C') made.push(operator('curve', ...args));
    else if (name === 'Q') {
      // a curve with one handle as one with two
      const toward = (from: number, handle: number): number => from + (2 / 3) * (handle - from);
      made.push(operator('curve', toward(x, a), toward(y, b), toward(c, a), toward(e, b), c, e));
    } else made.push(operator('close'));
    [x, y] = [args.at(-2) ?? x, args.at(-1) ?? y];
  }
  return made.join('\n');
}

function matrix(transform: string): string {
  const { 0: a, 1: b, 2: c, 3: d, 4: e, 5: f } = matrixOf(transform);
  return operator('matrix', a, b, c, d, e, f);
}

type Matrix = readonly [number, number, number, number, number, number];

const times = ([a, b, c, d, e, f]: Matrix, [p, q, r, s, t, u]: Matrix): Matrix => [
  a * p + c * q,
  b * p + d * q,
  a * r + c * s,
  b * r + d * s,
  a * t + c * u + e,
  b * t + d * u + f,
];

/** What our drawings move by: translate, rotate (also about a point), scale. */
export function matrixOf(transform: string): Matrix {
  let whole: Matrix = [1, 0, 0, 1, 0, 0];
  for (const [, name, list = ''] of transform.matchAll(/(\w+)\(([^)]*)\)/g)) {
    const [x = 0, y, z = 0] = list.split(/[\s,]+/).map(Number);
    if (name === 'translate') whole = times(whole, [1, 0, 0, 1, x, y ?? 0]);
    else if (name === 'scale') whole = times(whole, [x, 0, 0, y ?? x, 0, 0]);
    else if (name === 'rotate') {
      const [sin, cos] = [Math.sin((x * Math.PI) / 180), Math.cos((x * Math.PI) / 180)];
      const about = times(times([1, 0, 0, 1, y ?? 0, z], [cos, sin, -sin, cos, 0, 0]), [1, 0, 0, 1, -(y ?? 0), -z]);
      whole = times(whole, about);
    }
  }
  return whole;
}

/** `#rrggbb` or `#rgb` as three shares; null for none. */
function colorOf(color: string): [number, number, number] | null {
  const hex = /^#([\da-f]{3}|[\da-f]{6})$/i.exec(color)?.[1];
  if (!hex) return null;
  const full = hex.length === 3 ? [...hex].map((c) => c + c).join('') : hex;
  return [0, 2, 4].map((i) => Number.parseInt(full.slice(i, i + 2), 16) / 255) as [number, number, number];
}

function boxPath(x: number, y: number, w: number, h: number, r: number): string {
  return r > 0
    ? `M${x + r} ${y}h${w - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${h - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}h${2 * r - w}a${r} ${r} 0 0 1 ${-r} ${-r}v${2 * r - h}a${r} ${r} 0 0 1 ${r} ${-r}z`
    : `M${x} ${y}h${w}v${h}h${-w}z`;
}

/** The outline of a shape; empty for what has none. A clip's shape may be moved by itself. */
function pathOf({ name, attributes }: Element): string {
  const at = (key: string): number => Number(attributes.get(key) ?? 0);
  switch (name) {
    case 'path':
      return attributes.get('d') ?? '';
    case 'rect': {
      const r = Math.min(at('rx'), at('width') / 2, at('height') / 2);
      return boxPath(at('x'), at('y'), at('width'), at('height'), r);
    }
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = name === 'circle' ? [at('r'), at('r')] : [at('rx'), at('ry')];
      return `M${at('cx') - rx} ${at('cy')}a${rx} ${ry} 0 1 1 ${2 * rx} 0a${rx} ${ry} 0 1 1 ${-2 * rx} 0z`;
    }
    default:
      return '';
  }
}
