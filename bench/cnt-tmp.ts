import { demoJob } from "@/demo/demo-jobs";
import { atHand, PRESETS, wiringSpace } from "@/core/plan";
import { backbonesOf } from "@/core/plan/wiring/backbones";
import { groundsOf, newMeasure, sharpened } from "@/core/plan/wiring/grounds";
import { plugsOf } from "@/core/plan/wiring/plugs";
import { bestSettled, Worth, assign } from "@/core/plan/wiring/climb";
import { schoolsOn } from "@/core/plan/wiring/schools";
import { allowedIn } from "@/core/plan/wiring/starts";
import { backboneEffort } from "@/core/plan/wiring/make-plan";
import { effortPoints } from "@/core/plan/wiring/effort";
const floor=Number(process.argv[3]);
const job = demoJob(process.argv[2]!); const space = wiringSpace(job, atHand(job))!; const w = PRESETS["best-sound"];
const measure = sharpened(newMeasure(space, w));
const list = [...backbonesOf(space)].map(b=>{ const p=plugsOf(measure,b); const e=effortPoints(backboneEffort(space,b),w); return {b,p,e,bound:p.ownMost-e+(assign(p.tables,x=>x.most)?.worth??0)}; }).sort((a,b)=>b.bound-a.bound);
console.log("over:", list.filter(x=>x.bound>floor).length, list.length);
let n=0;
for (const x of list.filter(x=>x.bound>floor)) {
  const t=performance.now(); let grounds=0, settled=0, live=0; let top=-Infinity; const known=new Map(); 
  for (const g of groundsOf(measure,x.b)) { grounds++; const base=g.points-x.e; const wth=new Worth(measure,g,known); const so=wth.settle.bind(wth); wth.settle=(p)=>{ if(wth.optionOf(p)===undefined) settled++; so(p); };
    for (const s of schoolsOn(space,x.b)) { const f=bestSettled(allowedIn(space,x.b,s,x.p.tables),wth,floor-base); if(f){live++; top=Math.max(top,base+f.worth);} } }
  if (n++%8===0) console.log(x.bound.toFixed(2), x.b.boxes.map(b=>b.device.archetype).join("+"), x.b.wires.map(w=>w.cable.from.device+"."+w.cable.from.port+">"+w.cable.to.device+(w.lying?"L":"")).join(" "), "ms",(performance.now()-t).toFixed(0),"grounds",grounds,"settled",settled,"live",live,top.toFixed(2));
}
