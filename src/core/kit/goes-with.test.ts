import { piece } from '../../../tests/fixtures';
import { apartFrom, thatGoWith } from './goes-with';

const sea = {
  name: 'sea',
  pieces: [piece({ kit: 'sea', code: 'A', count: 20, color: '#1f6f78', accent: '#e8836b' })],
};
const other = (code: string, color: string, accent: string = color) => piece({ kit: 'other', code, color, accent });

it('what goes with a kit is near its colors, both of them, the nearest first', () => {
  const pieces = [
    other('far', '#ffd400'),
    other('near', '#22727c'),
    other('same', '#1f6f78', '#e8836b'),
    other('half', '#1f6f78', '#2233ff'),
    piece({ kit: 'sea', code: 'own', color: '#1f6f78' }),
  ];
  expect(thatGoWith(sea, pieces).map((p) => p.code)).toEqual(['same', 'near', 'half']);
  expect(apartFrom(sea)(pieces[2]!)).toBe(0);
  expect(apartFrom(sea)(pieces[0]!)).toBeGreaterThan(30);
});
