import { demand } from '../../../../tests/fixtures';
import { besideScript } from './beside-script';

const at = (title: string, start: number | null = null, tentative = false) => demand({ title, start, tentative });

it.each([
  ['choir rehearsal', 'choir', 'rehearsal'],
  ['Vet, Juniper', 'vet', 'Juniper'],
  ['dinner: fish soup', 'Dinner', 'fish soup'],
  ['walk – the hounds', 'walk', 'the hounds'],
  ['post office', 'post office', null],
  ['payday', 'payday', null],
])('“%s” beside the script “%s”: %j', (title, script, rest) => expect(besideScript(at(title), script)).toBe(rest));

it('writes all of it beside a script that begins only a part of its first word, stands later, or says it otherwise', () => {
  expect(besideScript(at('walkway paint'), 'walk')).toBe('walkway paint');
  expect(besideScript(at('early walk'), 'walk')).toBe('early walk');
  expect(besideScript(at('sow beans'), 'garden')).toBe('sow beans');
  expect(besideScript(at('sow beans'), '')).toBe('sow beans');
});

it('keeps the hour and the doubt', () => {
  expect(besideScript(at('choir rehearsal', 19 * 60), 'choir')).toBe('rehearsal, 7p');
  expect(besideScript(at('choir', 19 * 60), 'choir')).toMatch(/^7p?$/);
  expect(besideScript(at('choir', null, true), 'choir')).toBe('?');
  expect(besideScript(at('choir rehearsal', null, true), 'choir')).toBe('rehearsal ?');
});
