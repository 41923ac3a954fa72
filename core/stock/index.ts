export { boxesAtHand } from "./boxes";
export { freeCounts, reserve, type Reservation } from "./reserve";
export { changedStock, StockChange, StockFields, VanNeed, vanNeeds, type StockItem, type StockWhat } from "./stock";
