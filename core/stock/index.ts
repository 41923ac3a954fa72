export { boxesAtHand } from "./boxes";
export { freeCounts, reserve, type Reservation } from "./reserve";
export { StockFields, vanNeeds, type StockItem, type StockWhat, type VanNeed } from "./stock";
