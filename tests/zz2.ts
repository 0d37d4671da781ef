import { arrange } from '../src/core/arrange/arrange';
import { benchOf } from '../src/core/bench/bench';
import { offPlace } from './strangers/check';
import { strangersWeek } from './strangers/weeks';
const worst:number[]=[]; const t:Record<string,string[]>={};
for (let seed=1; seed<=100; seed++){ const c=strangersWeek(seed); const ps=arrange(c); for (const f of offPlace(c,benchOf(c,ps),worst)) (t[f.is]??=[]).push(seed+': '+f.of); }
worst.sort((a,b)=>a-b); console.log('n',worst.length,'p50',worst[worst.length>>1],'p90',worst[Math.floor(worst.length*.9)],'max',worst.at(-1));
for (const k in t) console.log(k,t[k]!.length,t[k]!.slice(0,8));
