import type { Section } from '../../manner/options';
import { SECTIONS } from '../../manner/options';
import type { Idea } from '../remedy';
import { asPatch } from '../remedy';

/** The week without what it lacks. */
const doWithout: Idea = (c) => [
  ...SECTIONS.filter((s) => c.finding.message.includes(`“${s.replace('-', ' ')}”`)).map((s: Section) =>
    asPatch(`Leave “${s.replace('-', ' ')}” out of the sidebar`, {
      options: { sidebar: c.context.options.sidebar.filter((x) => x !== s) },
    }),
  ),
  ...(/banner/.test(c.finding.message)
    ? [asPatch('No weekend banner this week', { options: { weekendBanner: false } })]
    : []),
  ...(/date cover/.test(c.finding.message)
    ? [asPatch('No date covers this week', { options: { dateCovers: false } })]
    : []),
  ...(/header/.test(c.finding.message) ? [asPatch('No headers this week', { options: { headers: 'none' } })] : []),
  ...(/washi/.test(c.finding.message)
    ? [asPatch('No bottom washi this week', { options: { bottomWashi: 'none' } })]
    : []),
  ...(/full box/.test(c.finding.message)
    ? [0, 1, 2, 3, 4, 5, 6].reverse().map((boxes) => asPatch(`${boxes} full boxes will do`, { ways: { boxes } }))
    : []),
];

/** m of correction tape on a roll. From memory. */
const ROLL = 10;

/** Settings that make a finding pointless, by rule. */
const SETTINGS: Readonly<Record<string, Idea>> = {
  B2: () => [asPatch('Leave the bottom strip bare this week', { options: { bottomWashi: 'none' } })],
  B6: () => [asPatch('Cover all month flags', { options: { monthFlags: true } })],
  F1: () => [asPatch('Leave the top band out', { ways: { topBand: false } })],
  F4: () => [
    asPatch('Sit all pieces flush left', { ways: { align: 'flush left' } }),
    asPatch('Center all pieces', { ways: { align: 'centered' } }),
  ],
  C4: () => [
    asPatch('Let the headers alternate', { options: { headers: 'alternating' } }),
    asPatch('Take the headers as fanned', { options: { headers: 'fanned' } }),
    asPatch('Take the headers as all alike', { options: { headers: 'same' } }),
  ],
  C6: () => [
    asPatch('Take the foils as they come', { options: { foils: [] } }),
    asPatch('Let gold and silver take turns', { options: { foils: ['gold', 'silver'] } }),
    asPatch('Let gold and rose gold take turns', { options: { foils: ['gold', 'rose-gold'] } }),
  ],
  W1: (c) =>
    [0.1, 0.2, 0.3].map((less) =>
      asPatch('Want less white space this week', {
        options: { whiteSpace: Math.max(0, c.context.options.whiteSpace - less) },
      }),
    ),
  W2: () => [asPatch('Space the littles', { options: { littles: 'spaced' } })],
  K1: doWithout,
  K2: doWithout,
  K4: (c) => [
    asPatch(`Another roll of ${ROLL} m is here`, { options: { tapeMeters: c.context.options.tapeMeters + ROLL } }),
  ],
  P3: () => [asPatch('Write these before they go down', { ways: { nearBinding: 'written first' } })],
  K3: () =>
    [0, 1, 2, 3, 4, 5, 6]
      .reverse()
      .map((boxes) => asPatch(`${boxes} full boxes will do this week`, { ways: { boxes } })),
};

/** Another setting for the whole spread, where one makes the finding pointless. */
export const otherSetting: Idea = (c) => SETTINGS[c.finding.rule]?.(c) ?? [];
