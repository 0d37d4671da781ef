// Writes src/core/art/icons.ts and src/ui/icons.tsx: the few icons that the kits and the screens use, picked from the
// icon package, so that an installation need not bring six thousand. To pick another:
// `npm install --no-save @tabler/icons@3.52.0 && node scripts/pick-icons.mjs`.
import { readFileSync, writeFileSync } from 'node:fs';

/** Of the kits, by meaning. */
const PICKED = {
  laundry: 'wash-machine',
  coffee: 'coffee',
  dinner: 'soup',
  groceries: 'basket',
  bill: 'receipt',
  work: 'ship',
  choir: 'music',
  dog: 'dog',
  vet: 'paw',
  garden: 'plant-2',
  doctor: 'stethoscope',
  birthday: 'cake',
  gift: 'gift',
  post: 'package',
  call: 'phone',
  computer: 'device-laptop',
  clean: 'spray',
  exercise: 'swimming',
  tv: 'device-tv',
  book: 'book',
  car: 'car',
  travel: 'luggage',
  hair: 'scissors',
  bed: 'bed',
  tools: 'tool',
  water: 'droplet',
  bins: 'trash',
  payday: 'coin',
  medicine: 'pill',
};
/** Of the screens. */
const ON_SCREENS = [
  'adjustments',
  'arrow-back-up',
  'arrow-forward-up',
  'calendar-share',
  'calendar-week',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'download',
  'file-import',
  'history',
  'flip-vertical',
  'grip-vertical',
  'keyboard',
  'layout-sidebar-right-collapse',
  'layout-sidebar-right-expand',
  'list-details',
  'lock',
  'lock-open',
  'minus',
  'notebook',
  'photo',
  'plus',
  'printer',
  'rotate-clockwise',
  'ruler-2',
  'search',
  'stack-back',
  'stack-front',
  'sticker',
  'sun-high',
  'trash',
  'x',
];
const FILLED = ['circle-check'];

const nodesOf = (sort) =>
  JSON.parse(readFileSync(new URL(`../node_modules/@tabler/icons/tabler-nodes-${sort}.json`, import.meta.url), 'utf8'));
const [outlined, filled] = [nodesOf('outline'), nodesOf('filled')];

/** The paths of an icon in a 24 x 24 box. */
function pathsOf(nodes, name) {
  if (!nodes[name]) throw new Error(`no icon ${name}`);
  return nodes[name].map(([tag, attributes]) => {
    if (tag !== 'path') throw new Error(`${name} has a ${tag}`);
    return attributes.d;
  });
}
const write = (file, text) => writeFileSync(new URL(`../${file}`, import.meta.url), text);
const FROM = `From the package @tabler/icons
 * (MIT, docs/licenses/tabler-icons.txt), picked by scripts/pick-icons.mjs.`;
const lines = Object.entries(PICKED).map(
  ([meaning, name]) => `  ${meaning}: ${JSON.stringify(pathsOf(outlined, name))},`,
);
write(
  'src/core/art/icons.ts',
  `/**
 * Pictograms by meaning, as stroked paths in a 24 x 24 box. ${FROM}
 */
export const ICONS: Readonly<Record<string, readonly string[]>> = {
${lines.join('\n')}
};
`,
);
const component = (name) => `Icon${name.replace(/(^|-)(\w)/g, (_, __, c) => c.toUpperCase())}`;
write(
  'src/ui/icons.tsx',
  `import type { SVGProps } from 'react';

export interface IconProps extends SVGProps<SVGSVGElement> {
  /** px */
  readonly size?: number;
}

const BOX = { xmlns: 'http://www.w3.org/2000/svg', viewBox: '0 0 24 24' } as const;
const LINE = { fill: 'none', strokeWidth: 2, strokeLinecap: 'round', strokeLinejoin: 'round' } as const;

/**
 * Icons of the screens. ${FROM}
 */
const icon =
  (paint: (color: string) => SVGProps<SVGSVGElement>, paths: readonly string[]) =>
  ({ size = 24, color = 'currentColor', ...given }: IconProps) => (
    <svg {...BOX} {...paint(color)} width={size} height={size} {...given}>
      {paths.map((d) => (
        <path key={d} d={d} />
      ))}
    </svg>
  );
const outlined = (...paths: readonly string[]) => icon((stroke) => ({ ...LINE, stroke }), paths);
const filled = (...paths: readonly string[]) => icon((fill) => ({ fill }), paths);

${ON_SCREENS.map(
  (n) =>
    `export const ${component(n)} = outlined(${pathsOf(outlined, n)
      .map((d) => JSON.stringify(d))
      .join(', ')});`,
).join('\n')}
${FILLED.map(
  (n) =>
    `export const ${component(n)}Filled = filled(${pathsOf(filled, n)
      .map((d) => JSON.stringify(d))
      .join(', ')});`,
).join('\n')}
`,
);
