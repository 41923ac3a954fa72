import { device, withQuirks } from "@/demo/room-under-test";
import { boxOfShelf, PRESETS, searchPlans, wiringSpace } from "@/core/plan";
import { QUIRKS } from "@/core/device";
import { emptyJob, type Job } from "@/core/job";
import { figureLines, givenUp, planIdea } from "@/core/text";
const room=(...devices: ReturnType<typeof device>[]): Job=>({...emptyJob("R"),devices});
function run(title: string, job: Job, boxes: [string, number][], presets: (keyof typeof PRESETS)[]) {
  for (const p of presets) { const space=wiringSpace(job,{boxes:boxes.flatMap(([a,price])=>boxOfShelf(job,a,price,"van")??[])})!;
  const t=performance.now(); const f=searchPlans(space,PRESETS[p],{clock:()=>performance.now(),mostMs:15000});
  console.log("##",title,p,"proven",f.proven,Math.round(performance.now()-t));
  for (const x of f.plans.slice(0,4)) console.log("  ",x.school,x.points.toFixed(1),planIdea(x,space.system.id),"|",x.boxes.map(b=>b.device.archetype).join(),"|",`acts ${x.figures.acts.filter(a=>a.verdict!=='as-wished').map(a=>a.event+':'+a.verdict).join()} s ${x.figures.sound.toFixed(2)} p ${x.figures.picture.toFixed(2)} e ${x.figures.ease.toFixed(2)} money ${x.figures.money} rem ${x.figures.remotes} steps ${x.figures.steps}`, x.settings.filter(s=>s.key==="cec"&&s.value==="off").map(s=>s.device).join());
  } }

for (const [tv,bar,box] of [[["drops-arc-on-input-change"],["arc-only-by-hand"],["wakes-by-itself","steals-source"]],[["drops-arc-on-input-change"],["arc-only-by-hand","switches-all-off"],["wakes-by-itself","switches-all-off"]],[[],["arc-only-by-hand","system-audio-only-when-on"],["wakes-by-itself"]]] as never[][][])
 run("q "+[tv,bar,box].join(" / "), {...room(withQuirks(device("tv-arc","tv"),...tv!),withQuirks(device("bar-arc-optical","bar"),...bar!),withQuirks(device("set-top-box","box"),...box!)), brief: {...emptyJob("x").brief, surround:"plain"}} as Job,[],["easiest-to-use","least-spending"]);
void QUIRKS;
