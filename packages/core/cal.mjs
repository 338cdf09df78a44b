import { forecast } from '@trug/core';
import { seededRandom } from './dist/numeric/random.js';
import { FERMENT_FAMILIES, trueFerment } from './dist/testing/ferment-families.js';
const N=Number(process.argv[2]??12), M=Number(process.argv[3]??4000);
const random=seededRandom(99);
const all={held:0,n:0,err:[],gh:0,gn:0,stuck:0,eff:[],early:0}; const t0=Date.now();
for(const f of FERMENT_FAMILIES){ let line=f.padEnd(22);
 for(const share of [.25,.45,.70]){ let held=0,n=0,gh=0,gn=0,early=0; const errs=[];
  while(n<N){ const made=trueFerment(f,random); const seen=made.seenUntil(share); if(seen.length<2||made.finishDay>250) continue;
   const last=seen.at(-1).day; if(made.finishDay-last<2) continue;
   const v=forecast({liquid:made.must,yeastId:'crisp-cider',pitchGPerL:.25,readings:seen,tempProfile:made.temps,todayDay:last,seed:n,members:M,horizonDays:330}).value;
   n++; const {p10,p50,p90}=v.finishDay; const ok=(p10??Infinity)<=made.finishDay&&made.finishDay<=(p90??Infinity); if(ok)held++; else if((p90??Infinity)<made.finishDay) early++;
   const e=Math.abs((p50??330)-made.finishDay)/(made.finishDay-last); errs.push(e); all.err.push(e); all.eff.push(v.effectiveMembers);
   if(v.chanceStuck>.5) all.stuck++;
   for(let k=1;k<=4;k++){const d=Math.round(last+(made.finishDay-last)*k/5); const b=v.band[d]; const s=made.sgAt(d); gn++; if(b&&s>=b.p10-1e-9&&s<=b.p90+1e-9)gh++;}
  }
  errs.sort((a,b)=>a-b); line+=`  ${(100*held/n).toFixed(0)}%(${early}e) err ${(100*errs[n>>1]).toFixed(0)} g ${(100*gh/gn).toFixed(0)}`; all.held+=held; all.n+=n; all.gh+=gh; all.gn+=gn;all.early+=early;
 } console.log(line);}
all.err.sort((a,b)=>a-b); all.eff.sort((a,b)=>a-b);
console.log('all held',(100*all.held/all.n).toFixed(1),'early',all.early,'median err',(100*all.err[all.n>>1]).toFixed(1),'gravity',(100*all.gh/all.gn).toFixed(1),'stuck',all.stuck,'of',all.n,'eff p10/50',all.eff[all.n/10|0],all.eff[all.n>>1],'ms each',((Date.now()-t0)/all.n).toFixed(0));
