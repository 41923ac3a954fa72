import { demoJob } from "@/demo/demo-jobs";
import { atHand, PRESETS, searchPlans, wiringSpace } from "@/core/plan";
const job=demoJob(process.argv[2] ?? "receiver-den"); const space=wiringSpace(job,atHand(job))!;
const f=searchPlans(space,PRESETS["best-sound"],{clock:()=>performance.now(),mostMs:5000,onlyBest:true}); console.log(f.proven,f.provenAfter,f.looked);
