import { context, demoContext, demoSpread, found, kitOf, piece, placement } from '../../../tests/fixtures';
import { openB6 } from '../book/open-b6';

it('is silent on a full kit', () => expect(found('K1', demoContext(), demoSpread().placements)).toEqual([]));
it('counts what is needed, what the kit has and what the stash has', () => {
  const stash = { name: 'stash', pieces: [piece({ kit: 'stash', code: 'S', kind: 'date-cover', count: 2 })] };
  const c = context({ kit: kitOf(piece({ kind: 'date-cover', count: 5 })), stash: [stash] });
  expect(found('K1', c, []).map((f) => f.message)).toContain(
    'The week wants 7 date covers; the kit “Test” has 5, and there are 2 in the stash.',
  );
});
it('counts the numbers lacking until they are written, and is silent on what is not wanted', () => {
  const c = context({
    kit: kitOf(piece(), piece({ code: 'C', kind: 'date-cover', count: 7 })),
    options: { dateCovers: false, headers: 'none', weekendBanner: false, bottomWashi: 'none', sidebar: [] },
  });
  expect(found('K1', c, [placement()]).map((f) => f.message.slice(0, 29))).toEqual(['7 date dots of 7 are lacking:']);
  const written = c.week.days.map((d, i) =>
    placement({ id: `c${i}`, code: 'C', copy: i + 1, text: String(Number(d.slice(8))), day: i }),
  );
  expect(found('K1', c, written)).toEqual([]);
});
it('names sections that the sidebar lacks, and a banner too wide for its columns', () => {
  const { context: c, placements } = demoSpread(
    { book: openB6, options: { sidebar: ['quote', 'hours', 'spending'] } },
    'night-almanac',
  );
  expect(
    found('K1', c, placements)
      .map((f) => f.message)
      .join(),
  ).toContain('The sidebar has no “spending”');
  const wide = context({ book: openB6, kit: kitOf(piece({ code: 'B', kind: 'banner', width: 76 })) });
  expect(found('K1', wide, [placement({ code: 'B' })]).length).toBeGreaterThan(0);
  expect(
    found('K1', context({ book: openB6, kit: kitOf(piece({ code: 'B', kind: 'banner', width: 76 }), piece()) }), [
      placement(),
    ])
      .map((f) => f.message)
      .join(),
  ).toContain('17.4 mm wider than the two weekend columns');
});
