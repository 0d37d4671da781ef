import { choiceNamed, choiceOf, choicesMade, leanings, ownOf, sayChoice, sayChoiceInFull } from './choices';
import { MANNERS } from './registry';
import { settingGroups } from './settings';

const settings = settingGroups().flatMap((g) => g.settings);
const named = (name: string) => choiceNamed(name)!;
const leant = (manner: string, liked: Readonly<Record<string, number>>): string[] =>
  leanings(
    manner,
    Object.entries(liked).map(([choice, weight]) => ({ choice, weight })),
  ).map(choiceOf);

describe('what a week was laid out with', () => {
  it('has a name of its own for every value that a setting may have', () => {
    const names = settings.flatMap((setting) => setting.choices.map(({ value }) => choiceOf({ setting, value })));
    expect(new Set(names).size).toBe(names.length);
    for (const name of names) expect(choiceOf(named(name))).toBe(name);
    expect(['headers=plaid', 'constructor=1', '', 'headers'].map((n) => choiceNamed(n))).toEqual([
      undefined, undefined, undefined, undefined,
    ]); // prettier-ignore
    expect(sayChoice(named('headers=none'))).toBe('Header colors: none');
    expect(sayChoiceInFull(named('headers=none'))).toBe('Headers and lists · Header colors: none');
  });

  it('is what its school does, but for what its owner set, which comes first', () => {
    const plain = choicesMade('scattered', { options: {}, ways: {} }).map(choiceOf);
    expect(plain).toContain(`headers=${MANNERS.scattered!.habits.headers}`);
    expect(new Set(plain.map((c) => c.split('=')[0])).size).toBe(plain.length);
    const [first, ...others] = choicesMade('scattered', { options: { headers: 'none' }, ways: {} }).map(choiceOf);
    expect(first).toBe('headers=none');
    expect(others).not.toContain(`headers=${MANNERS.scattered!.habits.headers}`);
    expect(choicesMade('nobody’s', { options: {}, ways: {} })).toEqual([]);
  });
});

describe('what is liked', () => {
  const { headers } = MANNERS.scattered!.habits;

  it('sets a new week of the school, the most liked first', () => {
    expect(leant('scattered', { 'headers=none': 1 })).toEqual(['headers=none']);
    expect(leant('scattered', { 'headers=none': 1, [`headers=${headers}`]: 2 })).toEqual([]);
    const other = settings.find((s) => s.key === 'headers')!.choices.find((c) => c.value !== headers && c.value !== 'none')!; // prettier-ignore
    expect(leant('scattered', { 'headers=none': 1, [`headers=${String(other.value)}`]: 3 })).toEqual([
      `headers=${String(other.value)}`,
    ]);
  });

  it('turns over what jarred where there are but two ways, and leaves it where nobody knows which instead', () => {
    const two = settings.find((s) => s.choices.length === 2 && s.of === 'ways')!;
    const own = MANNERS.scattered!.ways[two.key as never];
    const other = two.choices.find((c) => c.value !== own)!;
    expect(leant('scattered', { [`${two.key}=${String(own)}`]: -1 })).toEqual([`${two.key}=${String(other.value)}`]);
    expect(leant('scattered', { [`headers=${headers}`]: -3 })).toEqual([]);
    expect(leant('scattered', { [`headers=${headers}`]: -3, 'headers=none': -1 })).toEqual([]);
  });

  it('is nothing for a word that is no school, and nothing where nothing is liked', () => {
    expect(leant('nobody’s', { 'headers=none': 1 })).toEqual([]);
    for (const name of Object.keys(MANNERS)) expect(leant(name, {})).toEqual([]);
    expect(leant('scattered', { 'headers=plaid': 4 })).toEqual([]);
  });

  it('is a spread’s own settings', () => {
    const { options, ways } = ownOf([named('headers=none'), named('boxes=3')].filter(Boolean));
    expect(options).toEqual({ headers: 'none' });
    expect(Object.keys(ways)).toEqual(choiceNamed('boxes=3') ? ['boxes'] : []);
  });
});
