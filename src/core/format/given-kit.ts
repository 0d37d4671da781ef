import type { Kit } from '../kit/kit';
import { calledName, palette } from '../kit/kit';
import { BadInput } from './fault';
import { readPicturedKit, writePicturedKit } from './kit-csv';
import { parseJson } from './parse-json';
import { conform } from './schema';

/** What lies in a kit that is given away (docs/formats/kit.md). */
export const GIVEN = { list: 'kit.csv', card: 'kit.json', pictures: 'pictures/' } as const;

/** More designs than a kit that somebody gives away has. */
const MOST_DESIGNS = 4000;

/** A kit that is given away: as it was bought, with a word from its giver. */
export interface GivenKit {
  readonly kit: Kit;
  readonly note: string;
}

/** The texts of a kit that is given away; nothing of it says what its owner used, paid or wrote of it. */
export function writeGivenKit({ kit, note }: GivenKit): { readonly list: string; readonly card: string } {
  const card = {
    format: 'hobnail.kit/1',
    name: calledName(kit),
    colors: palette(kit, 5),
    ...(note ? { note } : {}),
    sheets: Math.max(0, ...kit.pieces.map((p) => p.sheet)),
  };
  return {
    list: writePicturedKit(kit, (picture) => `${picture}.webp`),
    card: `${JSON.stringify(card, null, 2)}\n`,
  };
}

/**
 * Reads them back; `picture` of a piece is the name of a file.
 * @throws BadInput by file, line and property
 */
export function readGivenKit(list: string, card: string, isThere: (picture: string) => boolean): GivenKit {
  const value = parseJson(card, GIVEN.card);
  conform('kit', value, GIVEN.card);
  const { name, note = '' } = value as { name: string; note?: string };
  const kit = readPicturedKit(list, GIVEN.list, name.trim(), isThere);
  if (kit.pieces.length > MOST_DESIGNS)
    throw new BadInput([
      {
        file: GIVEN.list,
        where: 'the whole file',
        found: `${kit.pieces.length} designs`,
        expected: `at most ${MOST_DESIGNS}`,
      },
    ]);
  return { kit, note };
}
