import { benchPlans } from "./plan";
console.table(benchPlans());
