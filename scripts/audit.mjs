// `npm run audit`: writes docs/licenses.md; fails for a license that is not known to be free, a package that nothing
// imports, and an advisory that was not looked at. It asks npm's registry for advisories, and says so when that is away.
import { spawnSync } from 'node:child_process';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

/** Licenses under which a package may be shipped, by SPDX name. */
const FREE = [
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'CC-BY-4.0',
  'CC0-1.0',
  'ISC',
  'LGPL-3.0-or-later',
  'MIT',
  'MIT-0',
  'MPL-2.0',
  'OFL-1.1',
  'Python-2.0',
  'Unlicense',
  'WTFPL',
  'Zlib',
];

/** Packages that no file of ours imports by name, and who does. */
const USED_OTHERWISE = new Map([
  ['@emotion/cache', 'peer of @mui/material-nextjs'],
  ['@emotion/react', 'peer of @mui/material'],
  ['@emotion/styled', 'peer of @mui/material'],
  ['@swc/core', 'peer of @swc/jest'],
  ['react-dom', 'peer of next'],
]);

/** Advisories that were looked at and accepted, with the reason. */
const ACCEPTED = JSON.parse(readFileSync(join(ROOT, 'scripts', 'audit-accepted.json'), 'utf8'));

const faults = [];
const read = (...path) => JSON.parse(readFileSync(join(ROOT, ...path), 'utf8'));

function packages() {
  const { packages: locked } = read('package-lock.json');
  return Object.entries(locked).flatMap(([path, { version, dev = false, license }]) => {
    if (!path) return [];
    const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
    return [{ name, version, dev, license: license ?? licenseIn(path) ?? 'unknown' }];
  });
}

/** Some packages say it only in their own file. */
function licenseIn(path) {
  try {
    const { license, licenses } = read(path, 'package.json');
    return license?.type ?? license ?? licenses?.map((l) => l.type).join(' OR ');
  } catch {
    return undefined; // an optional one for another machine
  }
}

/** True when one of its choices is free, or all of what holds together is. */
const isFree = (license) =>
  license
    .replace(/[()]/g, '')
    .split(' OR ')
    .some((choice) => choice.split(' AND ').every((one) => FREE.includes(one.trim())));

function sources(folder) {
  return readdirSync(join(ROOT, folder), { withFileTypes: true, recursive: true })
    .filter((e) => e.isFile() && /\.(ts|tsx|mjs|cjs|css)$/.test(e.name))
    .map((e) => readFileSync(join(e.parentPath, e.name), 'utf8'));
}

function unused() {
  const { dependencies, devDependencies, scripts } = read('package.json');
  const here = readdirSync(ROOT).filter((f) => /\.(ts|mjs|cjs|json)$/.test(f) && !/^package/.test(f));
  const text = [
    ...['src', 'demo', 'scripts', 'tests', 'e2e'].flatMap(sources),
    ...here.map((f) => readFileSync(join(ROOT, f), 'utf8')),
    ...Object.values(scripts),
  ].join('\n');
  return Object.keys({ ...dependencies, ...devDependencies }).filter((name) => {
    if (USED_OTHERWISE.has(name) || name.startsWith('@types/')) return false;
    const bin = Object.keys(binOf(name));
    const quoted = name.replace(/[/.]/g, '\\$&');
    return (
      !new RegExp(`['"\`](?:[^'"\`]*node_modules/)?${quoted}(?:/[^'"\`]*)?['"\`]`).test(text) &&
      !bin.some((b) => new RegExp(`(?:^|[\\s'"])${b}(?:[\\s'"]|$)`, 'm').test(text))
    );
  });
}

function binOf(name) {
  const { bin } = read('node_modules', ...name.split('/'), 'package.json');
  return typeof bin === 'string' ? { [name.split('/').pop()]: bin } : (bin ?? {});
}

function advisories() {
  const { stdout } = spawnSync('npm', ['audit', '--json'], { cwd: ROOT, encoding: 'utf8', timeout: 120_000 });
  try {
    const { vulnerabilities, message } = JSON.parse(stdout);
    if (!vulnerabilities) return { said: `not known: ${message ?? 'the registry gave no answer'}`, found: [] };
    const found = Object.values(vulnerabilities).flatMap((v) => v.via.filter((via) => typeof via === 'object'));
    return { said: null, found };
  } catch {
    return { said: 'not known: the registry gave no answer', found: [] };
  }
}

const all = packages();
for (const { name, license } of all) if (!isFree(license)) faults.push(`${name}: license ${license}`);
for (const name of unused()) faults.push(`${name}: nothing imports it`);
const { said, found } = advisories();
for (const { url, title, name } of found)
  if (!ACCEPTED.some((a) => a.url === url)) faults.push(`${name}: ${title} (${url})`);

const table = (list) =>
  [...new Map(list.map((p) => [`${p.name} ${p.version}`, p])).values()]
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .map((p) => `| ${p.name} | ${p.version} | ${p.license} |`)
    .join('\n');
const counts = [...grouped(all)]
  .map(([license, list]) => [license, list.length])
  .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
  .map(([license, n]) => `${license} ${n}`)
  .join(', ');

function grouped(list) {
  const groups = new Map();
  for (const p of list) groups.set(p.license, [...(groups.get(p.license) ?? []), p]);
  return groups;
}

writeFileSync(
  join(ROOT, 'docs', 'licenses.md'),
  `# Licenses

Written by \`npm run audit\` from the lock file. ${counts}.

Fonts (Caveat, Figtree, Fraunces, Pacifico, Sacramento) come as packages of Fontsource under the SIL Open Font License
1.1, and so do the faces in fonts/ that stand in for them ([Noto Sans](licenses/noto-sans.txt), its [Arabic](licenses/noto-sans-arabic.txt), [Hebrew](licenses/noto-sans-hebrew.txt), [Math](licenses/noto-sans-math.txt) and [Symbols 2](licenses/noto-sans-symbols-2.txt), [Noto Emoji](licenses/noto-emoji.txt), [Yomogi](licenses/yomogi.txt)); icons from Tabler Icons under the MIT license ([its text](licenses/tabler-icons.txt)). The art of the demo kits is this project's own.

## Shipped

| package | version | license |
|---|---|---|
${table(all.filter((p) => !p.dev))}

## For building and testing only

| package | version | license |
|---|---|---|
${table(all.filter((p) => p.dev))}
`,
);
console.log(`${all.length} packages; advisories: ${said ?? `${found.length}, ${ACCEPTED.length} accepted`}`);
for (const fault of faults) console.error(fault);
process.exit(faults.length ? 1 : 0);
