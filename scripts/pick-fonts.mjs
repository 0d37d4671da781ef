// Writes fonts/ and src/app/other-scripts.css: the faces that stand in where the hand's own font has no letter, picked
// from their packages, so that an installation need not bring all of these. To pick others:
// `npm install --no-save @fontsource/noto-sans @fontsource/noto-sans-arabic @fontsource/noto-sans-hebrew
// @fontsource/noto-sans-math @fontsource/noto-sans-symbols-2 @fontsource/noto-emoji @fontsource/yomogi
// @fontsource/gowun-dodum && node scripts/pick-fonts.mjs`.
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs';

/** By the name of their file: package, its file, and the letters that browsers take from it. */
const FACES = {
  greek: ['noto-sans', 'greek-300', 'U+0370-03FF'],
  'greek-ext': ['noto-sans', 'greek-ext-300', 'U+1F00-1FFF'],
  vietnamese: ['noto-sans', 'vietnamese-300', 'U+0300-0301, U+0303, U+0309, U+0323, U+1EA0-1EF9, U+20AB'],
  hebrew: ['noto-sans-hebrew', 'hebrew-300', 'U+0590-05FF, U+FB1D-FB4F'],
  arabic: ['noto-sans-arabic', 'arabic-300', 'U+0600-06FF, U+0750-077F, U+08A0-08FF, U+FB50-FDFF, U+FE70-FEFE'],
  japanese: ['yomogi', 'japanese-400', 'U+3000-30FF, U+31F0-31FF, U+3400-4DBF, U+4E00-9FFF, U+F900-FAFF, U+FF00-FFEF'],
  korean: ['gowun-dodum', 'korean-400', 'U+1100-11FF, U+3131-318E, U+AC00-D7AF'],
  math: ['noto-sans-math', 'latin-400', 'U+2070-209F, U+2150-218F, U+2190-22FF, U+2300-23FF, U+25A0-25FF, U+27C0-27EF'],
  symbols: ['noto-sans-symbols-2', 'symbols-400', 'U+2600-27BF, U+2B00-2BFF, U+1F780-1F7FF'],
  emoji: ['noto-emoji', 'emoji-500', 'U+2600-27BF, U+2B00-2BFF, U+1F000-1FAFF, U+FE0F, U+200D, U+20E3'],
};
const from = (path) => new URL(`../node_modules/@fontsource/${path}`, import.meta.url);
const to = (path) => new URL(`../${path}`, import.meta.url);

mkdirSync(to('fonts'), { recursive: true });
const css = Object.entries(FACES).map(([name, [pack, file, letters]]) => {
  copyFileSync(from(`${pack}/files/${pack}-${file}-normal.woff`), to(`fonts/${name}.woff`));
  return `@font-face {
  font-family: Caveat;
  font-weight: 500;
  font-display: swap;
  src: url('../../fonts/${name}.woff') format('woff');
  unicode-range: ${letters};
}`;
});
for (const pack of new Set(Object.values(FACES).map(([p]) => p)))
  copyFileSync(from(`${pack}/LICENSE`), to(`docs/licenses/${pack}.txt`));
writeFileSync(
  to('src/app/other-scripts.css'),
  `/* Written by scripts/pick-fonts.mjs: what the hand's own font has no letters for. */\n${css.join('\n')}\n`,
);
