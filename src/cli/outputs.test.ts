import { demoAgenda } from '../../demo/agenda';
import { readPrint } from '../../tests/read-print';
import { threeBox } from '../core/book/three-box';
import { outputs } from './outputs';

const HEAD = 'code,kind,count,width_mm,height_mm\n';
const KITS = {
  'of three boxes and seven covers': 'Q,quarter-box,3,38.1,12\nD,date-cover,7,38.1,12\n',
  'of covers alone': 'D,date-cover,7,38.1,12\n',
};

interface Laid {
  readonly id: string;
  readonly text: string | null;
  readonly items: readonly string[];
}

it.each(Object.entries(KITS))('a kit %s: all that is planned is drawn, printed and said', async (_, rows) => {
  const made = await outputs({
    book: { shipped: threeBox },
    kit: { file: 'thin.kit.csv', name: 'thin', text: HEAD + rows },
    stash: [],
    agenda: { file: 'week.ics', text: demoAgenda('2027-02-03') },
    options: null,
    week: '2027-W06',
    manner: 'scattered',
    seed: 1,
  });
  const plan = JSON.parse(made['spread.json'] as string) as {
    readonly placements: readonly Laid[];
    readonly writings: readonly Laid[];
    readonly steps: readonly { readonly refs: readonly string[]; readonly say: string }[];
    readonly unplaced: readonly unknown[];
  };
  expect(plan.unplaced).toEqual([]);
  expect(plan.writings.length).toBeGreaterThan(30);
  const svg = made['spread.svg'] as string;
  const drawnAs = (id: string): string => svg.split(`<g id="${id}"`)[1]?.split('<g id="')[0] ?? '';
  const joined = (text: string): string => text.replace(/\s+/g, '');
  const printed = joined(readPrint(made['bench.pdf'] as Uint8Array).map((p) => p.text).join('')); // prettier-ignore
  const said = plan.steps.map((s) => s.say).join('\n');
  const refs = new Set(plan.steps.flatMap((s) => s.refs.map((r) => r.replace('text:', ''))));
  for (const { id, text } of [...plan.placements, ...plan.writings]) {
    expect(refs).toContain(id);
    if (text) expect([id, drawnAs(id).includes('<path')]).toEqual([id, true]);
  }
  for (const { text } of plan.writings) {
    const inStep = (text ?? '').split('\n').join(', ').replace(/—{4,}/g, '———');
    const searched = joined(inStep).split(/[^ -~’]/); // an arrow is drawn
    expect(said).toContain(`“${inStep}”`);
    for (const part of searched) expect(printed).toContain(part);
  }
});
