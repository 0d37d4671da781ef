import { arrange } from '../src/core/arrange/arrange';
import { benchOf } from '../src/core/bench/bench';
import { ruledParts } from '../src/core/bench/kinds/cut';
import { pieceIndex } from '../src/core/spread/placement';
import { pieceKey } from '../src/core/kit/kit';
import { strangersWeek } from './strangers/weeks';
let n=0, over=0, most=0, off=0;
for (let seed=1; seed<=100; seed++){ const c=strangersWeek(seed); const ps=arrange(c); const b=benchOf(c,ps); const ix=pieceIndex(c);
 for (const cut of b.cuts){ const piece=ix.get(pieceKey(cut))!; const s=ruledParts(cut.pieces,piece,'in'); cut.pieces.forEach((r,i)=>{n++; off=Math.max(off,Math.abs(s[i]!.w-r.w),Math.abs(s[i]!.h-r.h)); if(s[i]!.w>piece.width+.05||s[i]!.h>piece.height+.05)over++; if(cut.pieces.length>1)most=Math.max(most,cut.pieces.length)});}}
console.log({n,over,most,off});
