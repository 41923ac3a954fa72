export { LEAST_ARRIVING, type Trade, type TradedPlan, tradeOf } from "./trade";
export { MOST_TRADES, type Trades, tradesOf } from "./trades";
