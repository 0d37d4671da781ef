import { done, freshHouse } from '../../tests/house';
import { money } from '../core/manner/own-ways';
import { voiceOf } from '../core/spread/voice';
import { contextFrom } from '../core/spread/context';
import { review, viewOf } from '../core/review/review';
import { writtenText } from '../core/week/demand';
import type { Database } from '../db/database';
import { startSpread } from './actions';
import { loadAgenda } from './agenda';
import { layOutWhole } from './lay-out-actions';
import { loadKits } from './kits';
import { loadSettings } from './load-settings';
import { saveClock, saveCurrency, saveUnit } from './settings-actions';
import { loadSpread } from './spread-data';
import { weekDemands } from './week-demands';

let db: Database;
beforeEach(async () => void (db = await freshHouse()));
afterEach(() => db.destroy());

const written = async () => (await weekDemands(db, '2027-W06', 'monday')).demands.map(writtenText).join('\n');

it('hours are written by twelve until their owner says otherwise, and then on every sticker', async () => {
  expect(await written()).toMatch(/\d[ap] /);
  done(await saveClock({ clock: '24 h' }));
  expect((await loadSettings()).ways.clock).toBe('24 h');
  expect(await written()).not.toMatch(/\d[ap] /);
  expect(await written()).toMatch(/\d\d:\d\d /);
  expect((await saveClock({ clock: '13 h' })).ok).toBe(false);
});

it('a week that was laid out by the other clock stays as it is, and nothing is found wrong in it', async () => {
  const { id } = done(
    await startSpread({ week: '2027-W06', bookId: 'three-box', kitId: 'rockpool', manner: 'scattered' }),
  );
  done(await layOutWhole({ spreadId: id }));
  const faults = async () => {
    const { context, placements } = (await loadSpread(id))!;
    return review(viewOf(contextFrom(context), placements)).filter((f) => f.rule === 'D2').length;
  };
  const before = await faults();
  done(await saveClock({ clock: '24 h' }));
  expect(await faults()).toBe(before);
});

it('lengths are told in the unit that was set, whatever the book is measured in', async () => {
  const { id } = done(
    await startSpread({ week: '2027-W06', bookId: 'three-box', kitId: 'rockpool', manner: 'scattered' }),
  );
  const units = async () => {
    const spread = (await loadSpread(id))!;
    return [
      voiceOf(contextFrom(spread.context), []).unit,
      (await loadAgenda('2027-W06')).unit,
      (await loadKits(undefined)).unit,
      (await loadSettings()).ways.unit,
    ];
  };
  expect(new Set(await units())).toEqual(new Set(['in']));
  done(await saveUnit({ unit: 'mm' }));
  expect(new Set(await units())).toEqual(new Set(['mm']));
  expect((await saveUnit({ unit: 'ell' })).ok).toBe(false);
});

it('money has the sign that was set', async () => {
  expect((await loadSettings()).ways.currency).toBe('$');
  done(await saveCurrency({ currency: ' EUR ' }));
  const { currency } = (await loadSettings()).ways;
  expect(money(currency, 12)).toBe('EUR 12.00');
  expect(money('£', 3.5)).toBe('£3.50');
  expect((await saveCurrency({ currency: '  ' })).ok).toBe(false);
});
