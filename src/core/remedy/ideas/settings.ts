import { own } from '../../measure/own';
import type { Kind } from '../../kit/kinds';
import type { Idea, Remedy } from '../remedy';
import { asPatch } from '../remedy';

/** The week without what it lacks. */
const doWithout: Idea = ({ finding: { about }, context }) => [
  ...(about.section
    ? [
        asPatch(
          { do: 'leave out', section: about.section },
          { options: { sidebar: context.options.sidebar.filter((s) => s !== about.section) } },
        ),
      ]
    : []),
  ...(about.kind ? (WITHOUT.get(about.kind) ?? []) : []),
];

const soManyBoxes = [6, 5, 4, 3, 2, 1, 0].map((boxes) =>
  asPatch({ do: 'so many boxes', count: boxes }, { ways: { boxes } }),
);

/** Settings that do without a kind. One entry a kind. */
const WITHOUT: ReadonlyMap<Kind, readonly Remedy[]> = new Map<Kind, readonly Remedy[]>([
  ['banner', [asPatch({ do: 'without', what: 'banner' }, { options: { weekendBanner: false } })]],
  ['date-cover', [asPatch({ do: 'without', what: 'date covers' }, { options: { dateCovers: false } })]],
  ['header', [asPatch({ do: 'without', what: 'headers' }, { options: { headers: 'none' } })]],
  ['bottom-washi', [asPatch({ do: 'without', what: 'bottom washi' }, { options: { bottomWashi: 'none' } })]],
  ['full-box', soManyBoxes],
]);

/** m of correction tape on a roll. From memory. */
const ROLL = 10;

/** Settings that make a finding pointless, by rule. */
const SETTINGS: Readonly<Record<string, Idea>> = {
  B2: () => [asPatch({ do: 'without', what: 'bottom washi' }, { options: { bottomWashi: 'none' } })],
  D5: (c) => (c.context.options.notes ? [] : [asPatch({ do: 'allow notes' }, { options: { notes: true } })]),
  B6: () => [asPatch({ do: 'cover month flags' }, { options: { monthFlags: true } })],
  F1: () => [asPatch({ do: 'without', what: 'top band' }, { ways: { topBand: false } })],
  F4: () => [
    asPatch({ do: 'align', align: 'flush left' }, { ways: { align: 'flush left' } }),
    asPatch({ do: 'align', align: 'centered' }, { ways: { align: 'centered' } }),
  ],
  C4: () => [
    asPatch({ do: 'headers', habit: 'alternating' }, { options: { headers: 'alternating' } }),
    asPatch({ do: 'headers', habit: 'fanned' }, { options: { headers: 'fanned' } }),
    asPatch({ do: 'headers', habit: 'same' }, { options: { headers: 'same' } }),
  ],
  C6: () => [
    asPatch({ do: 'foils', foils: [] }, { options: { foils: [] } }),
    asPatch({ do: 'foils', foils: ['gold', 'silver'] }, { options: { foils: ['gold', 'silver'] } }),
    asPatch({ do: 'foils', foils: ['gold', 'rose-gold'] }, { options: { foils: ['gold', 'rose-gold'] } }),
  ],
  W1: (c) =>
    [0.1, 0.2, 0.3].map((less) => {
      const whiteSpace = Math.max(0, c.context.options.whiteSpace - less);
      return asPatch({ do: 'less white' }, { options: { whiteSpace } });
    }),
  W2: () => [asPatch({ do: 'space littles' }, { options: { littles: 'spaced' } })],
  K1: doWithout,
  K2: doWithout,
  K4: (c) => [
    asPatch({ do: 'another roll', meters: ROLL }, { options: { tapeMeters: c.context.options.tapeMeters + ROLL } }),
  ],
  P3: () => [asPatch({ do: 'write first' }, { ways: { nearBinding: 'written first' } })],
  K3: () => soManyBoxes,
};

/** Another setting for the whole spread, where one makes the finding pointless. */
export const otherSetting: Idea = (c) => own(SETTINGS, c.finding.rule)?.(c) ?? [];
