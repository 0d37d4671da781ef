// Writes src/core/art/icons.ts: the few icons the kits use, picked from the icon package, so that the core carries no
// more than it draws.
import { readFileSync, writeFileSync } from 'node:fs';

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
const nodes = JSON.parse(
  readFileSync(new URL('../node_modules/@tabler/icons/tabler-nodes-outline.json', import.meta.url), 'utf8'),
);
const lines = Object.entries(PICKED).map(([meaning, name]) => {
  if (!nodes[name]) throw new Error(`no icon ${name}`);
  const paths = nodes[name].map(([tag, attributes]) => {
    if (tag !== 'path') throw new Error(`${name} has a ${tag}`);
    return attributes.d;
  });
  return `  ${meaning}: ${JSON.stringify(paths)},`;
});
writeFileSync(
  new URL('../src/core/art/icons.ts', import.meta.url),
  `/** Pictograms by meaning, as stroked paths in a 24 x 24 box. From the package @tabler/icons (MIT), picked by scripts/pick-icons.mjs. */
export const ICONS: Readonly<Record<string, readonly string[]>> = {
${lines.join('\n')}
};
`,
);
