import { demoJob } from "@/demo/demo-jobs";
import { ask } from "./ask";
import { answerTo } from "./questions";

// For tests: asks the thread in a process of its own, and prints the result.
const question = { ask: "arrivals", job: demoJob("sail-loft"), state: "planned" } as const;
let ticks = 0;
setInterval(() => (ticks += 1), 5);
const answers = await Promise.all(Array.from({ length: 10 }, () => ask(question)));
const here = JSON.stringify(answerTo(question));
const same = answers.filter((answer) => answer.ok && JSON.stringify(answer.value) === here).length;
const refused = answers.flatMap((answer) => (answer.ok ? [] : [answer.refusal]));
process.stdout.write(JSON.stringify({ same, refused, ticks }));
process.exit(0);
