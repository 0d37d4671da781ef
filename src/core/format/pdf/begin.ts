import fontkit from '@pdf-lib/fontkit';
import { PDFDocument } from 'pdf-lib';
import type { Letters } from '../letters';
import type { Fonts } from './paper';

/** The files of the two fonts that a print's own text is set in, TrueType. */
export interface FontFiles {
  readonly plain: Uint8Array;
  readonly heading: Uint8Array;
  /** draws what they have no letters for, and all that is written */
  readonly letters: Letters;
}

/** A document begun: named, with its fonts, and of a fixed moment, so that the same content gives the same bytes. */
export async function beginPdf(title: string, files: FontFiles): Promise<{ document: PDFDocument; fonts: Fonts }> {
  const document = await PDFDocument.create();
  document.registerFontkit({ create: (...given) => byWord(fontkit.create(...given)) });
  document.setTitle(title);
  document.setProducer('Hobnail');
  document.setCreator('Hobnail');
  document.setCreationDate(new Date(0));
  document.setModificationDate(new Date(0));
  const fonts = {
    plain: await document.embedFont(files.plain, { subset: true }),
    heading: await document.embedFont(files.heading, { subset: true }),
    letters: files.letters,
  };
  return { document, fonts };
}

type Font = ReturnType<typeof fontkit.create>;

/** A font that lays a word out once: a print has few words, each in many lines, and layout is what takes its time. */
function byWord(font: Font): Font {
  const known = new Map<string, Font['layout'] extends (...given: never[]) => { glyphs: infer G } ? G : never>();
  const layout = font.layout.bind(font);
  const ofWord = (word: string) => {
    const glyphs = known.get(word) ?? layout(word).glyphs;
    known.set(word, glyphs);
    return glyphs;
  };
  // only glyphs are asked for (pdf-lib's embedders), never their distances
  return Object.assign(font, {
    layout: (text: string) => ({ glyphs: (text.match(/\S*\s?/g) ?? []).flatMap(ofWord) }),
  });
}
