import { arrange } from '../../src/core/arrange/arrange';
import { contextFrom } from '../../src/core/spread/context';
import type { Context, Placement } from '../../src/core/spread/placement';
import { threeBox } from '../../src/core/book/three-box';
import type { Kit } from '../../src/core/kit/kit';
import type { Demand } from '../../src/core/week/demand';
import { demoKit, demand, weekWith } from '../../tests/fixtures';

const WORDS = [
  'vet, both hounds',
  'laundry',
  'choir rehearsal',
  'dig the far bed',
  'early ferry',
  'post parcel',
  'bathroom',
  'dinner: fish soup',
];

/** A week of `count` items, a third of them in lists, evenly over the days. */
export function weekOf(count: number, stash: readonly Kit[] = [demoKit('stash')]): Context {
  const demands = Array.from({ length: count }, (_, i): Demand => {
    const listed = i % 3 === 2;
    return demand({
      uid: `u${i}`,
      key: `u${i}`,
      title: WORDS[i % WORDS.length],
      day: i % 7,
      kind: listed ? 'to-do' : 'appointment',
      list: listed ? 'to do' : null,
      start: listed ? null : 7 * 60 + ((i * 97) % 840),
    });
  });
  const kit = demoKit('rockpool');
  return contextFrom({
    book: threeBox,
    kit,
    stash,
    week: weekWith(...demands),
    manner: 'scattered',
    options: {},
    seed: 1,
    usedElsewhere: [],
  });
}

/**
 * As many pieces as go into one week: eighty items on dressed bases, times in circles, framed boxes, a band along the
 * top.
 */
export function fullest(): { context: Context; placements: readonly Placement[] } {
  const words = ['vet', 'laundry', 'choir', 'dig', 'ferry', 'parcel', 'bathroom', 'soup', 'call', 'rent'];
  const demands = Array.from({ length: 80 }, (_, i) =>
    demand({
      uid: `u${i}`,
      key: `u${i}`,
      title: words[i % 10],
      day: i % 7,
      kind: i % 2 ? 'appointment' : 'chore',
      start: i % 2 ? 420 + ((i * 97) % 840) : null,
    }),
  );
  const more = { name: 'more', pieces: demoKit('night-almanac').pieces.map((p) => ({ ...p, kit: 'more' })) };
  const context = contextFrom({
    book: threeBox,
    kit: demoKit('rockpool'),
    stash: [demoKit('stash'), more],
    week: weekWith(...demands),
    manner: 'crowned',
    options: {},
    ways: { boxes: 7 },
    seed: 1,
    usedElsewhere: [],
  });
  return { context, placements: arrange(context) };
}
