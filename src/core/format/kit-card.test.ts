import { demoKit } from '../../../tests/fixtures';
import { shippedLetters } from '../../server/fonts';
import { kitCard } from './kit-card';

const kit = demoKit('rockpool');
const use = {
  total: 287,
  used: 100,
  weeks: 2,
  costAWeek: 3.2,
  currency: '$',
  loved: ['rockpool/FB-1', 'rockpool/none'],
};

it('says what became of a kit, and nothing of any week', () => {
  const svg = kitCard(kit, use, null);
  for (const said of ['Rockpool', '100 of 287 stickers used', '187 left', '2 weeks', '$3.20 a week', 'loved'])
    expect(svg).toContain(said);
  expect(svg.match(/fill="#17443F"\/>/g)).toHaveLength(14); // 100 of 287 of 40 dots
});

it('leaves out what is not known, and draws its letters as outlines where it is given away', () => {
  const svg = kitCard(kit, { ...use, weeks: 1, costAWeek: null, loved: [] }, shippedLetters());
  expect([svg.includes('<text'), svg.includes('loved'), svg.includes('$')]).toEqual([false, false, false]);
  expect(kitCard(kit, { ...use, weeks: 1 }, null)).toContain('>1 week<');
  expect(kitCard({ ...kit, title: 'A <b> & c' }, use, null)).not.toContain('<b>');
  expect(kitCard(kit, { ...use, total: 0, used: 0 }, null)).not.toContain('NaN');
});
