import type { StockChange, StockFields } from "@/core/stock";
import { askServer } from "@/ui/kit";

const json = (method: string, body: unknown) => ({ method, body: JSON.stringify(body), headers: { "Content-Type": "application/json" } });

export const addStock = (fields: StockFields) => askServer("/api/stock", json("POST", fields));
export const adjustStock = (id: string, change: StockChange) => askServer(`/api/stock/${id}`, json("PATCH", change));
export const dropStock = (id: string) => askServer(`/api/stock/${id}`, { method: "DELETE" });
/** The parts of a job leave the van; the job knows them as there. */
export const fitParts = (job: string) => askServer(`/api/jobs/${job}/fitted`, { method: "POST" });
