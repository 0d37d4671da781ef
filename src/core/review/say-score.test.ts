import { RULES } from './registry';
import { sayScore } from './say-score';
import { scoreOf } from './score';

it('says what a score lost, the dearest first', () => {
  const [one, other] = RULES as unknown as readonly { code: string; title: string }[];
  const at = (rule: string, severity: 'stop' | 'look') =>
    ({ rule, severity, page: 0, x: 0, y: 0, placements: [], about: { is: 'x' } }) as const;
  const score = scoreOf([at(one!.code, 'look'), at(other!.code, 'stop')]);
  expect(sayScore(score)).toBe(`Of 100: ${other!.title}, 8 less; ${one!.title}, 0.5 less`);
  expect(sayScore(scoreOf([]))).toBe('Nothing is amiss');
});
