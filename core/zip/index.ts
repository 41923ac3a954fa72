export { readZip, type ZipBudget, type ZipRefusal } from "./read-zip";
