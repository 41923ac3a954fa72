import { benchPlans } from "./plan";
import { fromShelfOrThrow } from "@/core/device";
import { bigJob } from "./big-job";
import { boxOfShelf, PRESETS, searchPlans, wiringSpace } from "@/core/plan";
import { backbonesOf } from "@/core/plan/wiring/backbones";
const BOXES = ["extractor","earc-extractor-mixed","earc-extractor-copy","matrix-4x2","splitter-1x2","switch-3x1","arc-adapter","optical-to-coaxial"];
const n = Number(process.argv[2] ?? 12);
const job0 = bigJob(n);
const job = { ...job0, devices: [...job0.devices.filter(({id})=>!id.startsWith("spare")), fromShelfOrThrow("projector",{id:"projector",name:"Projector"})] };
const boxes = BOXES.flatMap((a) => boxOfShelf(job, a, 80, "van") ?? []);
const space = wiringSpace(job, {boxes})!;
const t0 = performance.now();
let count = 0; const per = new Map<string, number>();
for (const b of backbonesOf(space)) { count++; const k=b.boxes.map(x=>x.device.archetype).join("+"); per.set(k,(per.get(k)??0)+1); }
console.log("backbones", count, performance.now()-t0);
console.log([...per]);
for (let i=0;i<Number(process.argv[3]??1);i++){
const begun = performance.now();
const steps: string[] = [];
const found = searchPlans(space, PRESETS["best-sound"], { clock: () => performance.now(), mostMs: Number(process.argv[4] ?? 5000), onBetter: (p) => steps.push(`${Math.round(performance.now()-begun)}:${p.points.toFixed(2)}:${p.school}:${p.boxes.map(b=>b.device.archetype)}`) });
console.log(steps.join(" "), found.proven, found.gap, found.provenAfter, found.looked);
for (const p of found.plans) console.log(p.school, p.points, p.boxes.map(b=>b.device.archetype), p.wires.map(w=>w.cable.from.device+">"+w.cable.to.device).join(" "), JSON.stringify({...p.figures, acts: undefined}), p.settings.filter(s=>!s.key.startsWith("player")).map(s=>`${s.device}.${s.key}=${s.value}`).join(" "));
}
