export { type BetterNeighbour, checkPlan, type PlanCheck, worthOfRoom } from "./check";
export { checkedPlans, type CheckedSearch } from "./checked-plans";
export { smallestConflict, type WishConflict, type Wished } from "./conflict";
export { mayHaveOwnLead } from "./own-leads";
export { type Unseen, unseenOn } from "./unseen";
export { supposed, type Supposition, suppositionsOf, type WhatIf, whatIfs } from "./what-if";
export { whyNot, type WhyNot } from "./why-not";
