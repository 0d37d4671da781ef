import { strangersWeek } from './weeks';
import { arrange } from '../../src/core/arrange/arrange';
for(const [seed,day] of [[3,0]] as const){ const c=strangersWeek(seed); const p=arrange(c); console.log(c.manner.name,c.book.name,JSON.stringify(c.options)); for(const d of c.week.demands.filter(d=>d.day===day)) console.log(' ',d.title,d.start,d.part,d.kind,d.list,d.lastDay); for(const q of p.filter(q=>q.day===day).sort((a,b)=>a.y-b.y)) console.log(q.code||'ink',q.role,q.x,q.y,q.w,q.h,q.text); }
