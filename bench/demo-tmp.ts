import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { atHand, PRESETS, searchPlans, wiringSpace } from "@/core/plan";
for (const set of ["jobs","systems"] as const) for (const name of set==="jobs"? demoJobNames() : demoJobNames("systems")) {
  const job = set==="jobs"? demoJob(name): demoJob(name,"systems");
  const space = wiringSpace(job, atHand(job)); if(!space){console.log(name,"nothing");continue;}
  const b=performance.now(); let first=0;
  const f=searchPlans(space, PRESETS[(process.argv[2] ?? "best-sound") as "best-sound"],{clock:()=>performance.now(),mostMs:Number(process.argv[3]??5000),onBetter:()=>{first||=performance.now()-b}});
  console.log(name.padEnd(28),"players",space.players.length,"screens",space.screens.length,"boxes",space.boxes.length,"first",first.toFixed(0),"proven",f.proven,f.provenAfter?.toFixed(0),"gap",f.gap.toFixed(1),"all",(performance.now()-b).toFixed(0),f.schoolsProven,"looked",f.looked.backbones,f.looked.rooms,"|",f.plans.map(p=>p.school+" "+p.points.toFixed(2)).join(", "));
}
