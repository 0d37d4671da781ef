import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Hobnail, seedDatabase } from '../../e2e/server';
import { blankEntry } from '../../src/core/week/agenda-entry';
import { actionIds, call } from './actions';

const EVENTS = 45_000;
const DAYS = 3600;
const PING = 15;

/** How long a thing took, and how long anybody else waited for an answer meanwhile, ms. */
export interface Held {
  readonly what: string;
  readonly took: number;
  readonly othersWaited: number;
}

/** A calendar of 45,000 events over ten years. */
function longCalendar(): string {
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0'];
  for (let i = 0; i < EVENTS; i++) {
    const day = new Date(Date.UTC(2022, 0, 1 + (i % DAYS))).toISOString().slice(0, 10).replace(/-/g, '');
    lines.push('BEGIN:VEVENT', `UID:e${i}@long`, `DTSTART:${day}T${10 + (i % 10)}0000`, 'DURATION:PT1H');
    lines.push(`SUMMARY:thing ${i}`, 'END:VEVENT');
  }
  return [...lines, 'END:VCALENDAR', ''].join('\r\n');
}

/** Follows it as a feed, takes it in as a file, opens the agenda on it and edits in it, with somebody else asking. */
export async function longCalendars(): Promise<Held[]> {
  const ics = longCalendar();
  const service = createServer((_, response) => response.end(ics));
  await new Promise<void>((up) => service.listen(0, '127.0.0.1', up));
  const address = `http://127.0.0.1:${(service.address() as AddressInfo).port}/long.ics`;
  const hobnail = new Hobnail(await seedDatabase(false));
  await hobnail.start();
  const { url } = hobnail;
  const held: Held[] = [];
  const during = async (what: string, work: () => Promise<unknown>): Promise<void> => {
    let over = false;
    let othersWaited = 0;
    const others = (async () => {
      while (!over) {
        const since = performance.now();
        await fetch(`${url}/alive`);
        othersWaited = Math.max(othersWaited, performance.now() - since);
        await new Promise((done) => setTimeout(done, PING));
      }
    })();
    const since = performance.now();
    const answer = await work();
    if (answer instanceof Response) {
      if (!answer.ok) throw new Error(`${what}: ${answer.status}`);
      await answer.text();
    }
    held.push({ what, took: performance.now() - since, othersWaited });
    over = true;
    await others;
  };
  try {
    await fetch(`${url}/agenda`).then((r) => r.text());
    const entry = { ...blankEntry('2027-02-04'), uid: 'e17@long', title: 'another thing', start: 600, minutes: 60 };
    const save = actionIds().get('saveEntry') as string;
    const form = new FormData();
    form.append('files', new File([ics], 'long.ics'));
    await during('taken in as a file', () =>
      fetch(`${url}/take-in`, { method: 'POST', body: form, headers: { origin: url } }),
    );
    await during('the agenda opened', () => fetch(`${url}/agenda`));
    await during('one of its events changed', () => call(url, '/agenda', save, { entry }));
    await during('the agenda opened again', () => fetch(`${url}/agenda`));
    await during('followed as a feed', () =>
      fetch(`${url}/feeds`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: url },
        body: JSON.stringify({ name: 'feed', address }),
      }),
    );
    await during('the agenda opened on both', () => fetch(`${url}/agenda`));
    return held;
  } finally {
    await hobnail.remove();
    service.close();
  }
}
