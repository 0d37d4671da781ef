import { strangersWeek } from './weeks';
import { arrange } from '../../src/core/arrange/arrange';
import { writtenOn } from '../../src/core/format/written';
import { isWriting, pieceIndex } from '../../src/core/spread/placement';
import { pieceKey } from '../../src/core/kit/kit';
import { review, viewOf } from '../../src/core/review/review';
let texts=0, weeks=0, broken=new Map<string,string[]>(), un=0, rules=new Map<string,number>();
for(let seed=1;seed<=135;seed++){ const c=strangersWeek(seed); let p; try{p=arrange(c);}catch(e:any){console.log('crash',seed,c.manner.name,e.stack.split('\n').slice(0,3).join(' '));continue}
 weeks++;
 const v=viewOf(c,p); un+=v.unplaced.length; for(const f of review(v)) rules.set(f.rule+' '+f.severity,(rules.get(f.rule+' '+f.severity)??0)+1);
 const ix=pieceIndex(c);
 for(const q of p){ if(!q.text) continue; texts++; const w=writtenOn(c,q,p); if(!w) {continue}
  const lines=w.lines.map(l=>l.text); const words=new Set(q.text.split(/\s+/)); 
  for(let i=0;i+1<lines.length;i++){ const a=lines[i]!.split(/\s+/).at(-1)!, b=lines[i+1]!.split(/\s+/)[0]!; if(!words.has(a)&&!a.endsWith('-')&&[...words].some(x=>x.startsWith(a)&&x!==a&&x.includes(a+b))) { const k=isWriting(q)?'paper '+q.role+(q.items.length?'':' noitem'):(ix.get(pieceKey(q))?.kind??'?')+' '+q.role; broken.set(k,[...(broken.get(k)??[]),`${seed}:${lines.join('|')} size${q.size} w${q.w}`]); break; } } } }
console.log(weeks,texts,'unplaced',un); for(const [k,v] of broken) console.log(k,v.length,v.slice(0,5)); console.log([...rules].sort().map(x=>x.join(':')).join(' '));
