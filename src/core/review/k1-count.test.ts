import { context, demoContext, demoSpread, found, kitOf, piece, placement } from '../../../tests/fixtures';
import { openB6 } from '../book/open-b6';

it('is silent on a full kit', () => expect(found('K1', demoContext(), demoSpread().placements)).toEqual([]));
it('counts what is needed, what the kit has and what the stash has', () => {
  const stash = { name: 'stash', pieces: [piece({ kit: 'stash', code: 'S', kind: 'date-cover', count: 2 })] };
  const c = context({ kit: kitOf(piece({ kind: 'date-cover', count: 5 })), stash: [stash] });
  expect(found('K1', c, []).map((f) => f.message)).toContain('The week wants 7 date covers; the kit “Test” has 5, and there are 2 in the stash.');
});
it('is stricter where nothing fills in, and silent on what is not wanted', () => {
  const options = { dateCovers: false, headers: 'none', weekendBanner: false, bottomWashi: 'none', sidebar: [] } as const;
  const messages = found('K1', context({ options }), [placement()]);
  expect(messages.map((f) => [f.severity, f.message.slice(0, 27)])).toEqual([['fix', 'The week wants 7 full boxes'], ['look', '7 date dots of 7 are lacking']].map(([s, m]) => [s, (m as string).slice(0, 27)]));
});
it('names sections that the sidebar lacks, and a banner too wide for its columns', () => {
  const { context: c, placements } = demoSpread({ book: openB6, options: { sidebar: ['quote', 'hours', 'spending'] } }, 'night-almanac');
  expect(found('K1', c, placements).map((f) => f.message).join()).toContain('The sidebar has no “spending”');
  const wide = context({ book: openB6, kit: kitOf(piece({ code: 'B', kind: 'banner', width: 76 })) });
  expect(found('K1', wide, [placement({ code: 'B' })]).length).toBeGreaterThan(0);
  expect(found('K1', context({ book: openB6, kit: kitOf(piece({ code: 'B', kind: 'banner', width: 76 }), piece()) }), [placement()]).map((f) => f.message).join()).toContain('17.4 mm wider than the two weekend columns');
});
