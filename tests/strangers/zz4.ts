import { strangersWeek } from './weeks';
import { faultsOf } from './check';
import { arrange } from '../../src/core/arrange/arrange';
import { benchOf } from '../../src/core/bench/bench';
import { shippedLetters } from '../../src/server/fonts';
const by=new Map<string,string[]>();
for(let seed=1;seed<=200;seed++){ const c=strangersWeek(seed); const p=arrange(c); for(const f of faultsOf(c,p,benchOf(c,p),shippedLetters())) by.set(f.is,[...(by.get(f.is)??[]),`${seed} ${c.manner.name}: ${f.of}`]); }
for(const [k,v] of by) console.log(k,v.length,v.slice(0,8));
