export { StockPlace } from "./stock-place";
export { useStock, type Stock } from "./use-stock";
