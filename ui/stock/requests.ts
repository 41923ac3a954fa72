import type { StockChange, StockFields } from "@/core/stock";
import { asJson, askServer } from "@/ui/kit";

export const addStock = (fields: StockFields) => askServer("/api/stock", asJson("POST", fields));
export const adjustStock = (id: string, change: StockChange) => askServer(`/api/stock/${id}`, asJson("PATCH", change));
export const dropStock = (id: string) => askServer(`/api/stock/${id}`, { method: "DELETE" });
/** The parts of a job leave the van; the job knows them as there. */
export const fitParts = (job: string) => askServer(`/api/jobs/${job}/fitted`, { method: "POST" });
