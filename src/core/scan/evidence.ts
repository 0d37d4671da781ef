import { likelihoods } from './likelihoods';
import { lineNear } from './seams';
import type { Share } from './share';
import type { Sight } from './sight';
import { endsShown, isDashed } from './tips';

/** What speaks for cuts through a block, in one direction: see `likelihoods.ts`; those of a way are added up. */
export interface Evidence {
  /** places across that are worth a look */
  readonly worth: readonly number[];
  /** what speaks for a cut at a place across, between two places along it, and over how many stretches of the block */
  readonly between: (at: number, from: number, to: number) => { readonly sum: number; readonly count: number };
  /** how much speaks against it where, one stretch after the other, most does: no cut has gaps */
  readonly gap: (at: number, from: number, to: number) => number;
  /** whether the print nearby comes to as much by itself */
  readonly isPrint: (at: number, from: number, to: number) => boolean;
  /** at how many of its ends it shows */
  readonly ends: (at: number, from: number, to: number) => number;
  /** whether a line shows on part of it: where only colors meet it may be print */
  readonly isLined: (at: number, from: number, to: number) => boolean;
  /** whether its line has gaps all along */
  readonly isDashed: (at: number, from: number, to: number) => boolean;
}

/** A way is looked at where so much speaks for some part of it. */
const WORTH = 5;
/** Px within which only the best way along the same stretches is kept: a cut has paler rims. */
const NEXT = 5;
/** Neighbors that come to so much of the best are as good. */
const ALL_BUT = 0.99;
/** Px by which a cut may end beside a corner. */
const SLACK = 4;
/** Px to both sides over which print is looked at, every so many. */
const AROUND = 150;
const EVERY = 2;
/** So many of those say what is most there: among the rest may be true cuts. */
const MOST = 0.7;
/** Where more than so many places there, px apart, say as much of the sum, a print repeats itself. */
const NEIGHBORS = 4;
const APART = 12;
const AS_MUCH = 0.6;
/** All but so much of a cut may show no line: a fainter one is none, lightness. */
const LINED = 0.75;
const FAINT = 1;

export function evidenceFor(block: Share, sight: Sight, upright: boolean): Evidence {
  const from = upright ? block.x0 : block.y0;
  const { stride } = sight.seams;
  const { likely, count } = likelihoods(block, sight, upright);
  const places = likely.length / count;
  const { sums, counts } = summed(likely, count);
  const firstOf = (start: number): number => Math.max(0, Math.ceil((start - SLACK) / stride) + 1);
  const lastOf = (end: number): number => Math.min(count - 1, Math.floor((end + SLACK) / stride) - 1);
  const over = (of: Float32Array | Uint16Array, at: number, first: number, last: number): number => {
    const i = (at - from) * (count + 1);
    return last < first ? 0 : (of[i + last + 1] as number) - (of[i + first] as number);
  };
  return {
    worth: worthALook(likely, count).map((k) => from + k),
    between: (at, start, end) => {
      const [first, last] = [firstOf(start), lastOf(end)];
      return { sum: over(sums, at, first, last), count: over(counts, at, first, last) };
    },
    gap: (at, start, end) => {
      const i = (at - from) * (count + 1);
      let [top, gap] = [-Infinity, 0];
      for (let s = firstOf(start); s <= lastOf(end) + 1; s++) {
        const sum = sums[i + s] as number;
        top = Math.max(top, sum);
        gap = Math.max(gap, top - sum);
      }
      return gap;
    },
    isPrint: (at, start, end) => {
      const [first, last] = [firstOf(start), lastOf(end)];
      const own = over(sums, at, first, last);
      const nearby: number[] = [];
      let [alike, lastAlike] = [0, -Infinity];
      for (let p = Math.max(from, at - AROUND); p <= Math.min(from + places - 1, at + AROUND); p += EVERY) {
        if (2 * over(counts, p, first, last) <= last - first) continue;
        const sum = over(sums, p, first, last);
        nearby.push(sum);
        if (sum < AS_MUCH * own || Math.abs(p - at) <= APART) continue;
        if (p - lastAlike > APART) alike++;
        lastAlike = p;
      }
      if (alike > NEIGHBORS) return true;
      nearby.sort((p, q) => p - q);
      const usual = nearby[nearby.length >> 1] ?? 0;
      const most = nearby[Math.floor(nearby.length * MOST)] ?? 0;
      return own < most + (most - usual);
    },
    isLined: (at, start, end) => strengthOf(sight, upright, at, firstOf(start), lastOf(end), LINED) >= FAINT,
    ends: (at, start, end) => {
      const usual = strengthOf(sight, upright, at, firstOf(start), lastOf(end));
      return endsShown(block.label, sight, { upright, at, from: start, to: end }, usual);
    },
    isDashed: (at, start, end) => {
      const [first, last] = [firstOf(start), lastOf(end)];
      const usual = strengthOf(sight, upright, at, first, last);
      return isDashed(sight, { upright, at, from: first * stride, to: last * stride }, usual);
    },
  };
}

/** For each place across and stretch what all stretches before it come to, and how many of them are of the block. */
function summed(likely: Float32Array, count: number): { sums: Float32Array; counts: Uint16Array } {
  const places = likely.length / count;
  const sums = new Float32Array(places * (count + 1));
  const counts = new Uint16Array(places * (count + 1));
  for (let k = 0; k < places; k++)
    for (let s = 0, i = k * (count + 1); s < count; s++, i++) {
      const value = likely[k * count + s] as number;
      const isThere = !Number.isNaN(value);
      sums[i + 1] = (sums[i] as number) + (isThere ? value : 0);
      counts[i + 1] = (counts[i] as number) + (isThere ? 1 : 0);
    }
  return { sums, counts };
}

/** How strong a line is along a way, lightness: as strong as so much of it is at the most, else as it usually is. */
function strengthOf({ seams }: Sight, upright: boolean, at: number, first: number, last: number, share = 0.5): number {
  const stretches = upright ? seams.upright : seams.level;
  const strengths: number[] = [];
  for (let s = first; s <= last; s++) strengths.push(lineNear(stretches, s, at));
  return strengths.sort((p, q) => p - q)[Math.floor(strengths.length * share)] ?? 0;
}

interface Run {
  readonly from: number;
  readonly to: number;
  readonly sum: number;
}

/** The places for which most speaks along some part of them; of neighbors along the same part the best. */
function worthALook(likely: Float32Array, count: number): number[] {
  const runs = Array.from({ length: likely.length / count }, (_, k) => ({
    k,
    ...bestRun(likely.subarray(k * count, (k + 1) * count)),
  }));
  const kept: (typeof runs)[number][] = [];
  for (const run of runs.filter((r) => r.sum >= WORTH).sort((p, q) => q.sum - p.sum))
    if (!kept.some((o) => Math.abs(o.k - run.k) <= NEXT && o.from <= run.to && o.to >= run.from)) kept.push(run);
  return kept.map(({ k, sum }) => {
    // where several say the same it lies in their middle
    let [first, last] = [k, k];
    while (k - first < NEXT && (runs[first - 1]?.sum ?? 0) >= ALL_BUT * sum) first--;
    while (last - k < NEXT && (runs[last + 1]?.sum ?? 0) >= ALL_BUT * sum) last++;
    return Math.round((first + last) / 2);
  });
}

/** The stretches one after the other for which most speaks. Source: Kadane's algorithm, from memory. */
function bestRun(likely: Float32Array): Run {
  let best: Run = { from: 0, to: -1, sum: 0 };
  let [sum, from] = [0, 0];
  for (let s = 0; s < likely.length; s++) {
    const value = likely[s] as number;
    if (Number.isNaN(value)) continue;
    if (sum <= 0) [sum, from] = [0, s];
    sum += value;
    if (sum > best.sum) best = { from, to: s, sum };
  }
  return best;
}
