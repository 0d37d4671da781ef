import { arrange } from '../src/core/arrange/arrange';
import { inkOf, regionOf, whiteOutOf } from '../src/core/bench/white-out';
import { subtract, area } from '../src/core/measure/rect';
import { footprint, isWriting, pieceIndex } from '../src/core/spread/placement';
import { pieceKey } from '../src/core/kit/kit';
import { strangersWeek } from './strangers/weeks';
const tally: Record<string, number> = {};
const ex: Record<string, string[]> = {};
let n = 0,
  counts: number[] = [],
  small = 0,
  all = 0;
for (let seed = 1; seed <= 100; seed++) {
  const c = strangersWeek(seed);
  const ps = arrange(c);
  const wo = whiteOutOf(c, ps);
  const pieces = pieceIndex(c);
  for (const pg of c.book.pages.keys()) {
    const k = wo.filter((w) => w.page === pg);
    counts.push(k.length);
    small += k.filter((w) => Math.max(w.w, w.h) < 4).length;
    all += k.length;
  }
  for (const m of c.book.marks) {
    const hid = [
      ...ps
        .filter((p) => p.page === m.page && !isWriting(p) && (pieces.get(pieceKey(p))?.opacity ?? 0) >= 0.9)
        .map(footprint),
      ...wo
        .filter((w) => w.page === m.page)
        .map((w) => ({ x: w.x - 0.02, y: w.y - 0.02, w: w.w + 0.04, h: w.h + 0.04 })),
    ];
    const ink = inkOf(m);
    const tot = ink.reduce((s, r) => s + area(r), 0);
    const vis = ink.flatMap((r) => subtract(r, hid)).reduce((s, r) => s + area(r), 0);
    const f = vis / tot;
    if (f > 0.02 && f < 0.98) {
      const r = regionOf(c.book, m);
      const key = `${m.kind} in ${r?.kind} ${c.ways.keepsRows ? 'rows' : ''}`;
      tally[key] = (tally[key] ?? 0) + 1;
      (ex[key] ??= []).push(
        `${seed}:${c.manner}:${c.book.name} ${m.x.toFixed(0)},${m.y.toFixed(0)} ${m.w.toFixed(0)}x${m.h.toFixed(0)} ${f.toFixed(2)}`,
      );
    }
  }
}
console.log(tally);
for (const k in ex) console.log(k, ex[k]!.slice(0, 4));
counts.sort((a, b) => a - b);
console.log('places a page: median', counts[counts.length >> 1], 'max', counts.at(-1), 'under 4mm', small, 'of', all);
import { strokesOf, tapeLength } from '../src/core/bench/strokes';
let st:number[]=[], tape=0, tape0=0; let ms=0, calls=0;
for (let seed=1; seed<=100; seed++){
  const c = strangersWeek(seed); const ps = arrange(c); const wo = whiteOutOf(c, ps);
  for (const pg of c.book.pages.keys()) { const k=wo.filter(w=>w.page===pg); const t=performance.now(); const s=strokesOf({book:c.book,placements:ps},k); ms+=performance.now()-t; calls++; st.push(s.length); tape+=tapeLength(s); tape0+=k.reduce((a,w)=>a+Math.max(w.w,w.h),0); }
}
st.sort((a,b)=>a-b); console.log('strokes a page: median',st[st.length>>1],'max',st.at(-1),'sum',st.reduce((a,b)=>a+b),'tape',tape/1000,'was',tape0/1000,'ms/page',ms/calls);
{let worst=0, ws=0, wp=0;
for (let seed=1; seed<=100; seed++){ const c = strangersWeek(seed); const ps = arrange(c); const wo = whiteOutOf(c, ps);
  for (const pg of c.book.pages.keys()) { const s=strokesOf({book:c.book,placements:ps},wo.filter(w=>w.page===pg)); if(s.length>worst){worst=s.length;ws=seed;wp=pg;} } }
const c = strangersWeek(ws); const ps = arrange(c); const wo = whiteOutOf(c, ps);
console.log(ws,wp,c.book.name,c.ways.keepsRows);
for (const s of strokesOf({book:c.book,placements:ps},wo.filter(w=>w.page===wp))) console.log(s.region,s.day,s.x.toFixed(1),s.y.toFixed(1),s.w.toFixed(1),s.h.toFixed(1));
console.log(c.book.marks.filter(m=>m.page===wp).map(m=>`${m.kind} ${m.x},${m.y} ${m.w}x${m.h}`).join('; '));}
