import { keptBackups } from './kept-backups';

const DAY = 86_400_000;
const at = (iso: string): number => Date.parse(iso);

describe('backups that are kept', () => {
  it('are all of the last seven days, one a week before, one a month before that', () => {
    const today = at('2027-02-10T12:00:00Z');
    const made = Array.from({ length: 500 }, (_, i) => today - i * DAY);
    const kept = keptBackups(made);
    expect(kept.slice(0, 7)).toEqual(made.slice(0, 7));
    expect(kept.length).toBeLessThanOrEqual(5 + 7 + 5 + 12);
    expect(kept.length).toBeGreaterThanOrEqual(7 + 3 + 10);
    const months = new Set(kept.map((k) => new Date(k).toISOString().slice(0, 7)));
    expect(months.size).toBe(12);
  });
  it('are the latest of each day', () => {
    const hours = Array.from({ length: 20 }, (_, i) => at('2027-02-10T23:00:00Z') - i * 3_600_000);
    expect(keptBackups(hours)).toEqual(hours.slice(0, 5)); // the last five, whatever day they are of
    const before = hours.map((h) => h - DAY);
    expect(keptBackups([...hours, ...before])).toEqual([...hours.slice(0, 5), before[0]]);
  });
  it('stay kept when it is done again, and the only one always stays', () => {
    const made = Array.from({ length: 90 }, (_, i) => at('2027-02-10T09:00:00Z') - i * DAY * 3);
    const kept = keptBackups(made);
    expect(keptBackups(kept)).toEqual(kept);
    expect(keptBackups([at('2019-01-01T00:00:00Z')])).toHaveLength(1);
    expect(keptBackups([])).toEqual([]);
  });
});
