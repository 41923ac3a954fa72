export { StockPlace } from "./stock-place";
export { useStock } from "./use-stock";
