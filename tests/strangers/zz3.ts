import { strangersWeek } from './weeks';
import { arrange } from '../../src/core/arrange/arrange';
import { review, viewOf } from '../../src/core/review/review';
import { sayFinding } from '../../src/core/review/say';
import { sayReason } from '../../src/core/review/say-missing';
import { voiceOf } from '../../src/core/spread/voice';
let n=0; const by=new Map<string,number>();
for(let seed=1;seed<=135;seed++){ const c=strangersWeek(seed); const p=arrange(c); const v=viewOf(c,p); const voice=voiceOf(c,p);
 for(const u of v.unplaced) console.log('UNPLACED',seed,c.manner.name,c.book.name,u.demand.title,u.demand.kind,sayReason(u,voice));
 for(const f of review(v)) if(f.rule==='P4'){ const k=c.manner.name+' '+f.about.is+' '+p.find(q=>q.id===f.placements[0])?.role+' '+(c.book.name.startsWith('stranger')?'S':c.book.name); by.set(k,(by.get(k)??0)+1); if(n++<12) console.log(seed,k,sayFinding(f,voice).message,JSON.stringify(p.filter(q=>f.placements.includes(q.id)).map(q=>[q.code,q.page,q.x,q.y,q.w,q.h,q.day]))); } }
for(const [k,v] of by) console.log(v,k);
